{!! $words !!}
@if ($stop)
    --
    {!! __('letters.parts.stop', [], $language) !!}: {!! $stop !!}
@endif
