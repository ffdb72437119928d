@props(['time', 'width' => 350])
@php
    use Nomada\App\Support\Words;
    $bar = $time->bar($width - 2);
    $short = $time->short();
@endphp
<svg class="contact" width="{{ $width }}" height="26" viewBox="0 0 {{ $width }} 26" role="img"
    aria-label="{{ Words::minutes($time->held) }} held, {{ Words::minutes($time->coming) }} to come, {{ Words::minutes(
        $time->lost) }} lost{{ $time->target === null ? '' : ', target ' . Words::minutes($time->target) }}">
    <rect class="held" x="1" y="6" width="{{ $bar['held'] }}" height="14" />
    <rect class="coming" x="{{ 1 + $bar['held'] }}" y="6.5" width="{{ max(0, $bar['coming'] - $bar['held']) }}" height="13" />
    <rect class="lost" x="{{ 1 + $bar['coming'] }}" y="6" width="{{ max(0, $bar['lost'] - $bar['coming']) }}" height="14" />
    @if ($bar['target'] !== null)
        <path class="target" d="M{{ 1 + $bar['target'] }} 1v24" />
    @endif
</svg>
@if (!isset($attributes['bare']))
    <p class="mb-0"><b>{{ Words::minutes($time->held) }}</b> held, <b>{{ Words::minutes($time->coming) }}</b> to
        come{{ $time->lost > 0 ? ', ' . Words::minutes($time->lost) . ' lost' : '' }}{{ $time->madeUp > 0 ? ', ' . Words::minutes(
            $time->madeUp) . ' made up' : '' }}
        @if ($short !== null)
            <br><span
                class="{{ $short > 0 ? 'todo' : 'good' }}">{{ $short > 0 ? Words::minutes($short) . ' short of' : ($short < 0
                    ? Words::minutes(-$short) . ' over' : 'just') }}
                the target of {{ Words::minutes($time->target) }}</span>
        @endif
    </p>
@endif
