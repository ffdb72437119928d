@include('errors.page', [
    'code' => '403',
    'title' => 'Not yours to see',
    'text' => 'You are signed in, but this page belongs to somebody else. If it should be yours, ask the coordinator.',
])
