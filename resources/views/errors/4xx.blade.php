@include('errors.page', [
    'code' => '4xx',
    'title' => 'This did not work',
    'text' => 'The request could not be answered. Go back and try again.',
])
