@include('errors.page', [
    'code' => '404',
    'title' => 'Nothing here',
    'text' =>
        'There is no page at this address. If a link brought you here, it was changed or ' .
        'has a slip in it; look it up again where you found it.',
])
