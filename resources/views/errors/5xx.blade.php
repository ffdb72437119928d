@include('errors.page', ['code' => '5xx'])
