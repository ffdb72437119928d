{!! $words !!}
