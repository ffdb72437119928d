@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Timetable\WeekPage;
    use Nomada\Core\Term\LocalDate;
    $base = url('/sections');
    $left = WeekPage::LEFT;
    $top = $theirs ? 56 : 40;
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
                    @include('timetable.week.drawing')
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
                            <div class="modal-footer"><button class="btn btn-main">Move</button><button class="btn btn-side" type="button"
                                    data-bs-dismiss="modal">Leave it</button></div>
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
