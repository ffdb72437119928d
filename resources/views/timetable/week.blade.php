@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Timetable\WeekPage;
    use Nomada\Core\Term\LocalDate;
    $base = url('/sections');
    $left = 110;
    $top = $theirs ? 56 : 40;
    $y = $top;
    $height = $top + array_sum(array_map(fn($r) => WeekPage::ROW * $r['lanes'], $rows)) + 8;
    $last = $days[count($days) - 1]['date'];
    $here =
        array_filter(['by' => $by, 'week' => $one ? null : $week, 'day' => $one?->iso(), 'clock' => $clockOf ?: null]) + $filter->query();
    $link = route('timetable', $here) . '&session=';
    $h = WeekPage::ROW - 8;
    $step = fn(int $by_) => $one ? new LocalDate($one->day + $by_) : null;
@endphp
<x-app title="Timetable">
    <div class="bar">
        <h1>{{ $one ? $one->short() : "Week $week" }}</h1>
        <div class="sum">{{ $one ? "week $week" : $monday->dayMonth() . ' – ' . $last->dayMonth() }} ·
            {{ Words::count($count, 'session') }}{!! $clashes > 0
                ? ' · <span class="bad">' . Words::count($clashes, 'session') . ' ' . ($clashes === 1 ? 'clashes' : 'clash') . '</span>'
                : '' !!} · {{ $zone->place() }} time</div>
        <nav class="end" aria-label="Show">
            @if ($one)
                @if ($term->calendar()->contains($one->day - 1))
                    <a class="pill" href="{{ route('timetable', ['day' => $step(-1)->iso(), 'by' => $by] + $filter->query()) }}"
                        aria-label="The day before">‹</a>
                @endif
                @if ($term->calendar()->contains($one->day + 1))
                    <a class="pill" href="{{ route('timetable', ['day' => $step(1)->iso(), 'by' => $by] + $filter->query()) }}"
                        aria-label="The day after">›</a>
                @endif
            @else
                @if ($week > 1)
                    <a class="pill" href="{{ route('timetable', ['week' => $week - 1, 'by' => $by] + $filter->query()) }}">‹
                        {{ $week - 1 }}</a>
                @endif
                @if ($week < $weeks)
                    <a class="pill"
                        href="{{ route('timetable', ['week' => $week + 1, 'by' => $by] + $filter->query()) }}">{{ $week + 1 }} ›</a>
                @endif
            @endif
            <a @class(['pill', 'on' => !$one]) href="{{ route('timetable', ['week' => $week, 'by' => $by] + $filter->query()) }}">Week</a>
            <a @class(['pill', 'on' => (bool) $one])
                href="{{ route(
                    'timetable',
                    ['day' => ($one ?? new LocalDate(max($monday->day, min($last->day, $today))))->iso(), 'by' => $by] + $filter->query(),
                ) }}">Day</a>
            <span class="mx-1"></span>
            @foreach (['teacher', 'section', 'year'] as $b)
                <a @class(['pill', 'on' => $by === $b]) href="{{ route('timetable', ['by' => $b] + $here) }}">By {{ $b }}</a>
            @endforeach
            <span class="mx-1"></span>
            @include('timetable.week.filter', ['keep' => array_diff_key($here, $filter->query())])
            <x-timetable-more />
        </nav>
    </div>
    @if ($one)
        <form class="inline mt-2 print-none" method="get" action="{{ route('timetable') }}"><input type="hidden" name="day"
                value="{{ $one->iso() }}"><input type="hidden" name="by" value="{{ $by }}"><label class="quiet"
                for="clock-of">On the clock of</label><select class="form-select w-auto" id="clock-of" name="clock">
                <option value="">the school only</option>
                @foreach ($people as $p)
                    <option value="{{ $p['id'] }}" @selected($p['id'] === $clockOf)>{{ $p['name'] }}</option>
                @endforeach
            </select>
            <button class="btn btn-side">Show</button>
        </form>
    @endif
    @foreach (['move_day', 'move_start', 'move_end', 'reach', 'session'] as $f)
        @if ($panel === null)
            @error($f)
                <p class="fault" role="alert">{{ $message }}</p>
            @enderror
        @endif
    @endforeach
    <div @class(['beside' => $panel !== null])>
        @if ($rows === [] && $filter->isAny())
            <x-empty :title="__('week.none')">{{ __('week.none_hint') }}
                <a href="{{ route('timetable', array_diff_key($here, $filter->query())) }}">{{ __('week.whole') }}</a>
            </x-empty>
        @elseif ($rows === [])
            <div class="empty">
                <h2>No session {{ $one ? 'on this day' : 'this week' }}</h2>
                {{ collect($days)->whereNotNull('reason')->pluck('reason')->unique()->implode(', ') ?: 'Nothing is planned.' }}
            </div>
        @else
            <div class="wide print-wide" tabindex="0" role="region" aria-label="{{ $one ? 'The day' : 'The week' }}"
                x-data="week" data-from="{{ $hours[0] * 60 }}" data-to="{{ $hours[1] * 60 }}" data-left="{{ $left }}">
                <svg class="grid-week mt-2 {{ $one ? 'is-day' : '' }}" width="{{ $left + $width }}" height="{{ $height }}"
                    viewBox="0 0 {{ $left + $width }} {{ $height }}" role="group"
                    aria-label="{{ $one ? $one->short() : "Week $week" }}, by {{ $by }}">
                    @foreach ($days as $day)
                        @if ($day['reason'] !== null)
                            <rect class="shut" x="{{ $left + $day['x'] }}" y="{{ $top }}" width="{{ $day['width'] - 6 }}"
                                height="{{ $height - $top - 8 }}" /><text class="tick" x="{{ $left + $day['x'] }}"
                                y="16">{{ $day['date']->parts()[2] }}</text>
                            <title>{{ $day['date']->short() }}: {{ $day['reason'] }}</title>
                        @else
                            <g data-column="{{ $day['date']->iso() }}" data-x="{{ $left + $day['x'] }}"
                                data-width="{{ $day['width'] - 8 }}"></g>
                            <text class="head" x="{{ $left + $day['x'] }}" y="16">{{ $day['date']->short() }}@if ($day['note'] !== '')
                                    <tspan class="tick">{{ $day['note'] }}</tspan>
                                @endif
                            </text>
                            @for ($hour = $hours[0]; $hour <= $hours[1]; $hour++)
                                @php $hx = round($left + $day['x'] + ($hour - $hours[0]) * 60 * $day['perMinute'], 1); @endphp
                                <line class="hour" x1="{{ $hx }}" x2="{{ $hx }}" y1="{{ $top }}"
                                    y2="{{ $height - 8 }}" />
                                @if (($one || ($hour - $hours[0]) % 2 === 0) && $hour < $hours[1] + ($one ? 1 : 0))
                                    <text class="tick" x="{{ $hx }}" y="34" text-anchor="middle">{{ $hour }}</text>
                                @endif
                            @endfor
                        @endif
                    @endforeach
                    @if ($theirs)<text class="who theirs" x="0"
                            y="50">{{ Str::limit($theirs['place'], 14) }}</text>
                        @foreach ($theirs['ticks'] as $tick)
                            <text class="tick theirs" x="{{ $left + $tick['x'] }}" y="50" text-anchor="middle">{{ $tick['text'] }}</text>
                        @endforeach
                    @endif
                    <g class="shades" aria-hidden="true"></g>
                    @foreach ($rows as $name => $row)
                        <line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}"
                            y2="{{ $y }}" />
                        <text class="who" x="0" y="{{ $y + 28 }}">{{ Str::limit($name, 17) }}</text>
                        @foreach ($busy[$name] ?? [] as $b)
                            <rect class="blocked" x="{{ $left + $b['x'] }}" y="{{ $y + 2 }}" width="{{ $b['width'] }}"
                                height="{{ WeekPage::ROW - 4 }}">
                                <title>Busy: {{ $b['title'] }}</title>
                            </rect>
                        @endforeach
                        @foreach ($row['blocks'] as $b)
                            @php
                                $bx = round($left + $b['x'], 1);
                                $by_ = $y + $b['lane'] * WeekPage::ROW + 4;
                                $cx = round($bx + $b['width'] / 2 + 4, 1);
                                $cy = $by_ + $h / 2;
                            @endphp
                            <a href="{{ $link . $b['session'] }}"
                                class="{{ $b['class'] }}{{ $chosen === $b['session'] ? ' is-chosen' : '' }}"@if ($b[
                                    'isMovable']) data-move="{{ $base }}/{{ rawurlencode($b['section']) }}/series/{{ $b[
                                    'series'] }}/sessions/{{ $b['session'] }}" data-day="{{ $b['day'] }}" data-minute="{{ $b[
                                    'minute'] }}" data-minutes="{{ $b['minutes'] }}" data-name="{{ $b['name'] }}" draggable="false" @endif>
                                <title>{{ $b['says'] }}</title>
                                <rect class="block" x="{{ $bx }}" y="{{ $by_ }}" width="{{ $b['width'] }}"
                                    height="{{ $h }}" rx="2" />
                                <rect class="edge" x="{{ $bx }}" y="{{ $by_ }}" width="3"
                                    height="{{ $h }}" />
                                @if ($one)
                                    <text class="short" x="{{ $bx + 8 }}"
                                        y="{{ $by_ + 16 }}">{{ Str::limit($b['name'], (int) max(3, ($b['width'] - 10) / 6.6),
                                            '…') }}</text><text
                                        class="tick" x="{{ $bx + 8 }}"
                                    y="{{ $by_ + 31 }}">{{ Str::limit($b['times'] . ($b['note'] === '' ? '' : " {$b['note']}"), (int) max(
                                        11, ($b['width'] - 10) / 5.4), '…') }}</text>@else<text
                                        class="short" x="{{ $cx }}" y="{{ $cy }}"
                                        transform="rotate(-90 {{ $cx }} {{ $cy }})" text-anchor="middle"
                                        @if (mb_strlen($b[
                                            'code']) > 6) textLength="{{ $h - 3 }}" lengthAdjust="spacingAndGlyphs" @endif>{{ mb_substr($b[
                                            'code'], 0, 8) }}</text>
                                    @endif @if ($b['wrong'] !== null)
                                        <path class="cross" d="M{{ $bx + $b['width'] / 2 - 3.5 }} {{ $by_ - 4 }}l7 7m0-7l-7 7" />
                                    @elseif ($b['kind'] !== '')
                                        <path class="dia" d="M{{ $bx + $b['width'] / 2 }} {{ $by_ - 5 }}l5 5l-5 5l-5-5z" />
                                    @endif
                            </a>
                        @endforeach
                        @php $y += WeekPage::ROW * $row['lanes']; @endphp
                    @endforeach
                    <line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}"
                        y2="{{ $y }}" />
                    <g class="ghost" aria-hidden="true"></g>
                </svg>
                <p class="moving-words" aria-live="polite" x-ref="told"></p>
                <div class="modal" tabindex="-1" aria-labelledby="move-title" x-ref="dialog" id="move-dialog">
                    <div class="modal-dialog">
                        <form class="modal-content" method="post">@csrf @method('put')
                            <div class="modal-body">
                                <h2 id="move-title" class="mb-2">Move</h2><input type="hidden" name="move_day"><input type="hidden"
                                    name="move_start"><input type="hidden" name="move_end"><input type="hidden" name="back"
                                    value="timetable"><input type="hidden" name="week" value="{{ $week }}"><input
                                    type="hidden" name="by" value="{{ $by }}"><input type="hidden" name="shown_day"
                                    value="{{ $one?->iso() }}">
                                <div class="answer"></div>
                            </div>
                            <div class="modal-footer"><button class="btn btn-main">Move</button><button class="btn btn-side"
                                    type="button" data-bs-dismiss="modal">Leave it</button></div>
                        </form>
                    </div>
                </div>
            </div>
        @endif
        @if ($panel !== null)
            <aside>
                @can('coordinate')
                    @include(
                        'timetable.session-panel',
                        $panel + [
                            'close' => route('timetable', $here),
                            'narrow' => true,
                            'back' => ['back' => 'timetable', 'week' => $week, 'by' => $by, 'shown_day' => $one?->iso()],
                        ]
                    )
                @else
                    <section class="one is-narrow">
                        <div class="one-head">
                            <h2><a href="{{ route('section', $panel['section']) }}">{{ $panel['section']->name() }}</a></h2><span
                                class="quiet">{{ $panel['day']->short() }}, {{ $panel['start'] }}–{{ $panel['end'] }}</span>
                        </div>
                    </section>
                @endcan
            </aside>
        @endif
    </div>
    <x-slot:keys>
        <dt><kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>on a session: move it by 5 minutes</dd>
        <dt><kbd>Shift</kbd> <kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>move it by a day</dd>
        <dt><kbd>Enter</kbd></dt>
        <dd>open it; after a move, ask how far it goes</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>put it back</dd>
    </x-slot:keys>
</x-app>
