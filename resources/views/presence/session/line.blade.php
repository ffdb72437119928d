{{-- One student's line. line: PresenceLine; y: where it lies --}}
<text class="name" x="160" y="{{ $y + 4 }}">{{ $line->pupil->name }}</text>
@if ($line->attendance === null)
    <text class="status quiet" x="716" y="{{ $y + 4 }}">{{ __('presence.session.not_on') }}</text>
@else
    @if ($line->segments === [])
        <line class="nobody" x1="{{ $page->drawing->edges[0] }}" y1="{{ $y }}" x2="{{ $page->drawing->edges[1] }}" y2="{{ $y }}" />
    @endif
    @foreach ($line->early as [$from, $to])
        <line class="early" x1="{{ $from }}" y1="{{ $y }}" x2="{{ $to }}" y2="{{ $y }}">
            <title>{{ __('presence.session.early') }}</title>
        </line>
    @endforeach
    @foreach ($line->segments as $n => [$from, $to])
        <line @class(['inside', 's-' . $line->attendance->status()->value]) x1="{{ $from }}" y1="{{ $y }}" x2="{{ $to }}"
            y2="{{ $y }}" />
        <circle @class([
            'came',
            's-' . $line->attendance->status()->value => $n === 0,
        ]) cx="{{ $from }}" cy="{{ $y }}" r="4" />
        <circle class="left" cx="{{ $to }}" cy="{{ $y }}" r="4" />
    @endforeach
    <text class="minutes" x="704"
        y="{{ $y + 4 }}">{{ __('presence.session.min', ['minutes' => $line->attendance->minutes()]) }}</text>
    <text @class([
        'status',
        's-' . $line->attendance->status()->value,
        'corrected' => $line->attendance->correction !== null,
    ]) x="716"
        y="{{ $y + 4 }}">{{ __('presence.long.' . $line->attendance->status()->value, [
            'late' => $line->attendance->late,
            'minutes' => $line->attendance->minutes(),
        ]) }}</text>
@endif
