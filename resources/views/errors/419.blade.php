@include('errors.page', [
    'code' => '419',
    'title' => 'This page waited too long',
    'text' =>
        'It was open for so long that it is no longer safe to send. Go back, load it again, and send it once more; nothing was changed.',
])
