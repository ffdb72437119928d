@include('errors.page', [
    'code' => '5xx',
    'title' => 'Something broke',
    'text' => 'This is our mistake, and it is written down. Try again in a moment.',
])
