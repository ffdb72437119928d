{{-- What every page is in. title; words: what its scripts say, where they say anything --}}
@props(['title' => null, 'words' => null])
<!doctype html>
<html lang="{{ app()->getLocale() === 'en' ? 'en-GB' : app()->getLocale() }}"
    dir="{{ \Nomada\Core\Language\ReaderLanguage::direction(app()->getLocale()) }}" data-bs-theme="light">

<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <title>{{ $title ?? 'Nomada' }}{{ isset($title) ? ' · Nomada' : '' }}</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <script src="/theme.js"></script>
    @vite(['resources/scss/app.scss', 'resources/js/app.js'])
    @stack('head')
</head>

<body @if ($words !== null) data-words="{{ json_encode($words) }}" @endif>
    <a class="skip" href="#main">{{ __('frame.to_content') }}</a>
    {{ $slot }}
</body>

</html>
