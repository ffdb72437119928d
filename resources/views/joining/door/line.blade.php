{{-- Now, the doors, the start and the end as stops on a line --}}
<svg class="door-line" viewBox="0 0 354 92" role="img"
    aria-label="@foreach ($page->stops as $stop){{ $stop['words'] }} {{ $stop['time'] }}{{ $loop->last ? '' : ', ' }} @endforeach">
    <line class="rail" x1="6" x2="348" y1="44" y2="44" />
    @foreach ($page->stops as $stop)
        @continue($stop['kind'] === 'now')
        <circle class="s-{{ $stop['kind'] }}" cx="{{ $stop['x'] }}" cy="44" r="8" />
        <text class="t" x="{{ $stop['x'] }}" y="72" text-anchor="middle">{{ $stop['time'] }}</text>
        <text class="w" x="{{ $stop['x'] }}" y="88" text-anchor="middle">{{ $stop['words'] }}</text>
    @endforeach
    <circle class="s-now" cx="{{ $page->stops[0]['x'] }}" cy="44" r="7" />
    <text class="t t-now" x="{{ max(52, min(302, $page->stops[0]['x'])) }}" y="24" text-anchor="middle">{{ $page->stops[0]['words'] }}
        {{ $page->stops[0]['time'] }}</text>
</svg>
