@php $isOpen = $answer->reply->opens(); @endphp
<div class="phone" x-data="door" data-look="{{ $look }}" data-version="{{ $version }}" data-longest="{{ $longest }}"
    data-opens="{{ $opens }}">
    @if ($known)
        <p class="over-title mb-0">{{ $name }}{{ $teacher ? " · $teacher" : '' }}</p>
    @endif
    <h1>{{ $words[0] }}</h1>
    <p>{{ $words[1] }}</p>
    @error('bridge')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    @if ($stops !== [])
        <svg class="door-line" viewBox="0 0 354 92" role="img"
            aria-label="@foreach ($stops as $s){{ $s['words'] }} {{ $s['time'] }}{{ $loop->last ? '' : ', ' }} @endforeach">
            <line class="rail" x1="6" x2="348" y1="44" y2="44" />
            @foreach ($stops as $s)
                @if ($s['kind'] !== 'now')
                    <circle class="s-{{ $s['kind'] }}" cx="{{ $s['x'] }}" cy="44" r="8" /><text class="t"
                        x="{{ $s['x'] }}" y="72" text-anchor="middle">{{ $s['time'] }}</text><text class="w"
                        x="{{ $s['x'] }}" y="88" text-anchor="middle">{{ $s['words'] }}</text>
                @endif
            @endforeach
            <circle class="s-now" cx="{{ $stops[0]['x'] }}" cy="44" r="7" /><text class="t t-now"
                x="{{ max(52, min(302, $stops[0]['x'])) }}" y="24" text-anchor="middle">{{ $stops[0]['words'] }}
                {{ $stops[0]['time'] }}</text>
        </svg>
    @endif
    @if ($isOpen)
        @if ($recorded !== null)
            <p class="todo">{{ __('door.recorded') }}</p>
        @endif
        <form method="post" action="{{ $enter }}">@csrf<button class="act main">{{ $words[2] }}</button></form>
    @elseif ($words[2] !== '')
        <span class="act off" aria-disabled="true">{{ $words[2] }}</span>
        <a class="act" href="{{ url()->current() }}">{{ __('door.look') }}</a>
    @else
        @if ($asks)
            <x-door.ask :action="$asks" :asked="$asked" />
        @endif
        @if ($register)
            <a class="act main" href="{{ $register }}">{{ __('door.to_registration') }}</a>
        @endif
        @auth
            <a class="act" href="/">
                {{ __('door.to_own') }}</a>
        @endauth
    @endif
    @if ($look)
        <noscript>
            <meta http-equiv="refresh" content="20">
        </noscript>
        <p class="quiet mt-2">{{ __('door.looks_again') }}</p>
    @endif
    @if ($known)
        <dl class="helps">
            @if ($hours)
                <dt>{{ __('door.helps.hours') }}</dt>
                <dd>{{ $hours }}</dd>
            @endif
            @if ($phone && $byPhone)
                <dt>{{ __('door.helps.phone') }}</dt>
                <dd>{{ $phone }}<br>{{ __('door.helps.pin', ['pin' => $pin]) }}</dd>
            @endif
            @if ($code)
                <dt>{{ __('door.helps.code') }}</dt>
                <dd class="mono">{{ $code }}</dd>
            @endif
            @if ($next !== [])
                <dt>{{ __('door.helps.next') }}</dt>
                <dd>
                    @foreach ($next as $n)
                        {{ $n }}
                        <br>
                    @endforeach
                </dd>
            @endif
            <dt>{{ __('door.helps.trouble') }}</dt>
            <dd>{{ __('door.helps.' . ($byPhone ? 'by_phone' : 'by_stream') . ($teacher === '' ? '' : '_or'), [
                'teacher' => $teacher,
            ]) }}</dd>
        </dl>
    @endif
</div>
