@include('errors.page', [
    'code' => '405',
    'title' => 'Not this way',
    'text' => 'This address is not opened like that. Go back, and use the button on the page.',
])
