<!doctype html>
<html lang="{{ $language }}">

<head>
    <meta charset="utf-8">
    <title>{{ $line }}</title>
</head>

<body>
    {{-- No styles: each reader's own font and size, light or dark. --}}
    <h1>{{ $line }}</h1>
    @foreach ($paragraphs as $p)
        <p>{!! preg_replace('#https?://[^\s<]+[^\s<.,;]#', '<a href="$0">$0</a>', nl2br(e($p), false)) !!}</p>
    @endforeach
    <hr>
    <p><small>{{ $school }}@if ($stop)
                · <a href="{{ $stop }}">{{ __('letters.parts.stop', [], $language) }}</a>
            @endif
        </small></p>
</body>

</html>
