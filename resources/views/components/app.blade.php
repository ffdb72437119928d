{{-- A page of somebody who is signed in. title; keys: a slot of its own keys --}}
@props(['title' => null, 'keys' => '', 'frame' => \Nomada\App\View\Frame::of(auth()->user())])
<x-base :title="$title" :words="$frame->words()">
    <header @class(['mast', 'narrow' => !$frame->isStaff])>
        <a class="name" href="/"><x-mark />Nomada</a>
        @if ($frame->term !== '')
            <div class="term">{{ $frame->term }}<small>{{ $frame->span }} · {{ $frame->school }}</small></div>
        @endif
        @if ($frame->isStaff)
            <button class="find" type="button" x-data
                x-on:click="$dispatch('find')"><span>{{ __('frame.find.button') }}</span><kbd>/</kbd></button>
        @endif
        <x-clock :of="$frame" />
        <x-who :person="$frame->person" />
    </header>
    @if ($frame->isStaff)
        <x-route :person="$frame->person" />
    @endif
    <main id="main" tabindex="-1">
        @if (session('said'))
            <p class="said" role="status">{{ session('said') }}</p>
        @endif
        @foreach (\Nomada\App\View\Unsaid::of($errors, (string) $slot) as $words)
            <p class="fault" role="alert">{{ $words }}</p>
        @endforeach
        {{ $slot }}
    </main>
    @if ($frame->isStaff)
        <x-find />
    @endif
    <x-keys :staff="$frame->isStaff">{{ $keys }}</x-keys>
    <svg width="0" height="0" aria-hidden="true" focusable="false">
        <defs>{{ \Nomada\App\View\Shape::symbols() }}<pattern id="hatch" width="5" height="5" patternTransform="rotate(45)"
                patternUnits="userSpaceOnUse">
                <rect width="5" height="5" class="hatch-ground" />
                <line y2="5" class="hatch-line" />
            </pattern>
        </defs>
    </svg>
</x-base>
