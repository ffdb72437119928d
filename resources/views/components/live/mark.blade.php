{{-- One thing on the sheet. mark: as the bridge says it --}}
@props(['mark'])
@switch($mark['kind'])
    @case('line')
        <polyline points="{{ collect($mark['data']['points'] ?? [])->map(fn($p) => (float) $p[0] . ',' . (float) $p[1])->implode(' ') }}">
            <title>{{ $mark['name'] }}</title>
        </polyline>
    @break

    @case('text')
        <text x="{{ $mark['data']['x'] ?? 0 }}" y="{{ $mark['data']['y'] ?? 0 }}">{{ $mark['data']['text'] ?? '' }}</text>
    @break

    @case('point')
        <circle cx="{{ $mark['data']['x'] ?? 0 }}" cy="{{ $mark['data']['y'] ?? 0 }}" r="7" />
        <text class="who" x="{{ ($mark['data']['x'] ?? 0) + 12 }}"
            y="{{ ($mark['data']['y'] ?? 0) + 6 }}">{{ __('live.sheet.points_here', ['name' => $mark['name']]) }}</text>
    @break

    @case('picture')
        <image href="{{ $mark['data']['src'] ?? '' }}" x="0" y="0" width="800" height="560" />
    @break
@endswitch
