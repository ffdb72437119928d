@include('errors.page', ['code' => '503', 'title' => __('errors.key.title'), 'text' => __('errors.key.text')])
