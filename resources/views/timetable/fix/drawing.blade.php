{{-- The week before and after. drawing: FixDrawing. The list of moves beside it says the same in words. --}}
<h2>{{ __('fix.week') }} <small class="quiet">{{ __('fix.week_hint') }}</small></h2>
<svg class="fix-week" viewBox="0 0 {{ $drawing::WIDE }} {{ $drawing->height }}" role="img" aria-label="{{ __('fix.week') }}">
    @foreach ($drawing->days as $day)
        <text class="day" x="{{ $day['x'] }}" y="14">{{ $day['name'] }}</text>
        @foreach ($day['hours'] as $hour)
            <text class="hour" x="{{ $hour['x'] }}" y="30" text-anchor="middle">{{ $hour['words'] }}</text>
            <line class="hour" x1="{{ $hour['x'] }}" x2="{{ $hour['x'] }}" y1="36" y2="{{ $drawing->height }}" />
        @endforeach
    @endforeach
    @foreach ($drawing->rows as $row)
        <line class="row" x1="0" x2="{{ $drawing::WIDE }}" y1="{{ $row['y'] + 46 }}" y2="{{ $row['y'] + 46 }}" />
        <text class="name" x="0" y="{{ $row['y'] + 30 }}">{{ $row['name'] }}</text>
        @foreach ($row['blocks'] as $block)
            <rect class="is-{{ $block->kind }}" x="{{ $block->x }}" y="{{ $block->y }}" width="{{ $block->width }}"
                height="{{ $block->height }}" rx="2">
                <title>{{ $block->words }}</title>
            </rect>
        @endforeach
        @foreach ($row['arcs'] as $arc)
            <path class="arc" d="{{ $arc }}" />
        @endforeach
    @endforeach
</svg>
