{{-- A section's term: a line, its sessions the stops. Everything is computed by TermLine; this only writes it down. --}}
@props(['line', 'days', 'today', 'minute' => 720, 'labels' => false, 'large' => false, 'name' => '', 'url' => null, 'chosen' => null])
@php
    $paths = $line->paths($days);
    $y = $line->y();
    $now = $line->now($today, $minute);
    $count = array_sum(array_map(count(...), $days));
@endphp
<svg {{ $attributes->class(['line', 'large' => $large]) }} width="{{ $line->width }}" height="{{ $line->height }}" viewBox="0 0 {{ $line->width }} {{ $line->height }}" role="img" aria-label="{{ $name }}: {{ $count }} sessions" @if ($url) data-url="{{ $url }}" data-name="{{ $name }}" data-days="{{ $line->offsets($days) }}" data-now="{{ $today - $line->term->first->monday()->day }}" @endif><title>{{ $name }}</title>
@foreach ($line->bands() as $band)<rect class="band" x="{{ $band['x'] }}" y="0" width="{{ $band['width'] }}" height="{{ $line->height }}"/>@endforeach
<line class="track" x1="6" x2="{{ $line->width - 6 }}" y1="{{ $y }}" y2="{{ $y }}"/>
@foreach ($paths as $state => $path)
@if ($state === 'planned')<path class="stop ring" d="{{ $path }}"/><path class="stop hole" d="{{ $path }}"/>
@elseif ($state === 'changed')<path class="stop ring-changed" d="{{ $path }}"/><path class="stop hole" d="{{ $path }}"/><path class="half" d="{{ $line->halves($days['changed']) }}"/>
@elseif ($state === 'wrong')<path class="cross" d="{{ $line->crosses($days['wrong']) }}"/>
@else<path class="stop {{ $state }}" d="{{ $path }}"/>@endif
@endforeach
@if ($now !== null)<line class="now" x1="{{ $now }}" x2="{{ $now }}" y1="0" y2="{{ $line->height }}"/>@endif
@if ($url)<circle class="mark" cx="0" cy="{{ $y }}" r="6.5"/>@endif
</svg>
