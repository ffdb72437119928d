@include('errors.page', [
    'code' => '429',
    'title' => 'Too many tries',
    'text' => 'Too many tries came from here in a short time. Wait a minute, then try again.',
])
