{{-- Every error page: what happened, and what to do next. Needs no session, no database, nobody signed in. --}}
<!doctype html>
<html lang="{{ app()->getLocale() === 'en' ? 'en-GB' : app()->getLocale() }}" data-bs-theme="light">

<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title ?? __("errors.pages.$code.title") }} · Nomada</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <script src="/theme.js"></script>
    @if (is_file(public_path('build/manifest.json')))
        @vite(['resources/scss/app.scss'])
    @endif
</head>

<body>
    <header class="mast"><a class="name" href="/"><x-mark />Nomada</a></header>
    <main>
        <div class="phone">
            <p class="over-title mb-0">{{ $code }}</p>
            <h1>{{ $title ?? __("errors.pages.$code.title") }}</h1>
            <p>{{ $text ?? __("errors.pages.$code.text") }}</p>
            <a class="act main" href="{{ $to ?? '/' }}">{{ $button ?? __('errors.first') }}</a>
        </div>
    </main>
</body>

</html>
