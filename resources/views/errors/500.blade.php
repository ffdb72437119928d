@include('errors.page', [
    'code' => '500',
    'title' => 'Something broke',
    'text' =>
        'This is our mistake, and it is written down. Nothing half-done is kept. ' .
        'Try again; if it happens again, tell the coordinator what you were doing.',
])
