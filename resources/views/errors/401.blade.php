@include('errors.page', ['code' => '401', 'to' => '/sign-in', 'button' => __('errors.sign_in')])
