{{-- How many run at one time, over the week. curve: LoadCurve --}}
<svg class="curve mt-2" width="{{ $curve::WIDTH }}" height="{{ $curve::HEIGHT + 44 }}"
    viewBox="0 -22 {{ $curve::WIDTH }} {{ $curve::HEIGHT + 44 }}" role="img"
    aria-label="{{ trans_choice('licences.curve', $page->load->peak) }}">
    @foreach ($curve->levels as $level)
        <line class="level" x1="30" x2="{{ $curve::WIDTH - 14 }}" y1="{{ $level['y'] }}" y2="{{ $level['y'] }}" />
        <text class="tick" x="22" y="{{ $level['y'] + 4 }}" text-anchor="end">{{ $level['n'] }}</text>
    @endforeach
    @foreach ($curve->days as $day)
        <text class="head" x="{{ $day['x'] }}" y="-8">{{ $day['name'] }}
            <tspan class="tick">{{ __('licences.at_most', ['n' => $day['most']]) }}</tspan>
        </text>
    @endforeach
    @foreach ($curve->hours as $hour)
        <text class="tick" x="{{ $hour['x'] }}" y="{{ $curve::HEIGHT + 16 }}" text-anchor="middle">{{ $hour['text'] }}</text>
    @endforeach
    <path class="run" d="{{ $curve->path }}" />
    @if ($curve->capacity !== null)
        <line class="cap" x1="30" x2="{{ $curve::WIDTH - 14 }}" y1="{{ $curve->capacity }}" y2="{{ $curve->capacity }}" />
        <text class="cap-text" x="{{ $curve::WIDTH - 16 }}" y="{{ $curve->capacity - 4 }}"
            text-anchor="end">{{ __('licences.capacity') }}</text>
    @endif
</svg>
