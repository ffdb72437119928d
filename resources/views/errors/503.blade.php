@include('errors.page', [
    'code' => '503',
    'title' => 'Back in a moment',
    'text' => 'Nomada is being looked after. What is under way goes on afterwards by itself.',
])
