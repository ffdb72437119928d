{{-- A line a student from coming to leaving, and the curve above. page: SessionPage --}}
<p class="mb-1"><b>{{ __('presence.session.came', ['came' => $page->came(), 'all' => array_sum($page->sum->sums)]) }}</b>
    <span class="todo">{{ trans_choice('presence.session.late', $page->sum->sums['late']) }}</span>
    <span class="bad">{{ trans_choice('presence.session.absent', $page->sum->sums['absent']) }}</span>
    <span class="quiet">{{ trans_choice('presence.session.excused', $page->sum->sums['excused']) }}
        {{ trans_choice('presence.session.guests', $page->sum->guests) }}</span>
</p>
<div class="wide-table" tabindex="0" role="region"
    aria-label="{{ __('presence.session.drawing', [
        'from' => $page->from->zone->clock($page->held->start),
        'to' => $page->from->zone->clock($page->held->planned),
    ]) }}">
    <svg class="presence" viewBox="0 0 850 {{ $page->height() + 10 }}" width="850" height="{{ $page->height() + 10 }}">
        @foreach ($page->drawing->ticks as [$x, $time])
            <line class="tick" x1="{{ $x }}" y1="22" x2="{{ $x }}" y2="{{ $page->height() }}" />
            <text class="tick" x="{{ $x }}" y="14">{{ $time }}</text>
        @endforeach
        @foreach (['starts', 'ends'] as $i => $what)
            <line class="edge" x1="{{ $page->drawing->edges[$i] }}" y1="18" x2="{{ $page->drawing->edges[$i] }}"
                y2="{{ $page->height() }}" />
        @endforeach
        <text class="name" x="160" y="56">{{ __('presence.session.inside') }}</text>
        <text class="name quiet" x="160" y="72">
            {{ $page->drawing->mostAt === null ? '' : __('presence.session.most', ['most' => $page->drawing->most, 'at' =>
                $page->drawing->mostAt]) }}</text>
        <polygon class="curve" points="{{ collect($page->drawing->curve)->map(fn($p) => implode(',', $p))->implode(' ') }}" />
        @if ($page->drawing->recorded !== null)
            <line class="recorded" x1="{{ $page->drawing->recorded[0] }}" y1="96" x2="{{ $page->drawing->recorded[1] }}"
                y2="96" />
            <circle class="recorded" cx="{{ $page->drawing->recorded[0] }}" cy="96" r="4" />
            <text class="recorded" x="{{ $page->drawing->recorded[0] + 8 }}" y="112">{{ __('presence.session.recorded') }}</text>
        @endif
        @foreach ($page->lines as $i => $line)
            @include('presence.session.line', ['line' => $line, 'y' => 128 + 24 * $i + 12])
        @endforeach
    </svg>
</div>
@can('serve', $page->section)
    @include('presence.session.correct')
@endcan
