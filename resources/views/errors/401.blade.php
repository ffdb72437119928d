@include('errors.page', [
    'code' => '401',
    'title' => 'Sign in first',
    'text' => 'This page is for somebody who is signed in.',
    'to' => '/sign-in',
    'button' => 'Sign in',
])
