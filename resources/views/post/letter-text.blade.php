{!! $words !!}
@if ($stop)
    --
    No more such letters: {!! $stop !!}
@endif
