@php
    use Nomada\App\Support\Words;
    use Nomada\Core\Publishing\Place;
    use Nomada\Core\Term\LocalDate;
    use Nomada\Core\Timetable\SessionState;
    $status = $row->status;
    $scale = $line->scale();
    $mayChange = Gate::check('timetable', $section);
@endphp
<x-app :title="$section->name()">
    <div class="bar">
        <h1>{{ $section->name() }}</h1>
        <div class="sum">
            {{ $row->meets === ''
                ? 'no timetable yet'
                : $row->meets . ($section->series->every(fn($s) => $s->time_zone === $zone->name) ? ' ' . $zone->place() : '') }}
            · @foreach ($teachers as $t)
                {{ $t->person->shortName() }}{{ $t->role === 'teacher' ? '' : " ($t->role)" }}{{ $loop->last ? '' : ', ' }}
            @endforeach · {{ Words::count($status->roster, 'student') }}</div>
        <div class="end"><a class="pill" href="{{ route('attendance', $section) }}">{{ __('attendance.student.page') }}</a>
            @can('timetable', $section)
                <a class="btn btn-side" href="{{ route('section', [$section, 'change' => 'new']) }}">Add a series</a>
            @endcan
        </div>
    </div>
    <div x-data="board" data-left="{{ $scale['left'] }}" data-week="{{ $scale['week'] }}" data-monday="{{ $scale['monday'] }}">
        <svg class="line mt-2" width="{{ $line->width }}" height="18" role="img" aria-label="Weeks of the term">
            @foreach ($line->labels() as $label)
                <text x="{{ $label['x'] }}" y="14">{{ $label['text'] }}</text>
            @endforeach
        </svg>
        <x-term-line :$line :days="$row->days" :$today :$minute :name="$section->name()" :url="route('section', $section)" large />
    </div>
    @if ($editing !== null)
        @can('timetable', $section)
            @include('timetable.series-editor', ['series' => $editing === 'new' ? null : $editing])
        @endcan
    @endif
    @if ($panel !== null && $editing === null)
        @include('timetable.session-panel', $panel + ['close' => route('section', $section)])
    @endif
    @foreach (['reason', 'session', 'change', 'share', 'person', 'rule', 'topics', 'makes_up', ...$panel === null ? ['move_day',
        'move_start', 'move_end', 'reach'] : []] as $f)
        @error($f)
            <p class="fault" role="alert">{{ $message }}</p>
        @enderror
    @endforeach
    @foreach ($status->snags() as $snag)
        @if ($loop->first)
            <ul class="legend" aria-label="Snags">
        @endif
        <li><span class="{{ $snag->isWrong ? 'bad' : 'todo' }}">{{ $snag->words }}</span></li>
        @if ($loop->last)
            </ul>
        @endif
    @endforeach
    <div class="columns mt-2">
        <div>
            @forelse ($section->series as $series)
                @php
                    $planned = $series->sessions->where('state', SessionState::Planned);
                    $lost = $series->sessions->where('state', SessionState::Lost);
                @endphp
                <section class="card-s">
                    <div class="d-flex align-items-baseline gap-3 flex-wrap">
                        <h2>{{ $series->title }}</h2>
                        <span
                            class="quiet">{{ $series->stretches()->sentence($today) }}{{ $series->time_zone === $zone->name ? '' : ' '
                                . $series->plan()->zone->place() }}
                            · {{ Words::count($planned->count(), 'session') }},
                            {{ Words::minutes((int) $planned->sum(fn($one) => (
                                $one->ends_at->timestamp - $one->starts_at->timestamp) / 60)) }}{{ $lost->isEmpty() ? '' : ' · '
                                . $lost->count() . ' lost' }}</span>
                        @can('timetable', $section)
                            <a class="ms-auto" href="{{ route('section', [$section, 'change' => $series->id]) }}">Change</a>
                        @endcan
                    </div>
                    <ul class="sessions">
                        @foreach ($series->sessions as $session)
                            @php
                                $core = $session->toCore();
                                $isPast = $core->end <= $now;
                                $state =
                                    $core->state !== SessionState::Planned
                                        ? $core->state->value
                                        : ($isPast
                                            ? 'past'
                                            : collect($row->days)->search(fn($days) => in_array($core->day, $days, true)));
                            @endphp
                            <li id="day-{{ $session->day }}" @class([
                                'is-lost' => in_array($state, ['lost', 'cancelled'], true),
                                'is-chosen' => $day === $session->day,
                            ])
                                @if ($day === $session->day) aria-current="date" @endif>
                                @if (in_array($state, ['lost', 'cancelled'], true))
                                    <svg width="14" height="14" aria-hidden="true">
                                        <rect x="1" y="1" width="12" height="12" fill="url(#hatch)" />
                                </svg>@else<x-shape :is="(string) $state" :label="(string) $state" />
                                @endif
                                <span>{{ (new LocalDate($core->day))->short() }}</span><span>{{ $zone->clock(
                                    $core->start) }}–{{ $zone->clock($core->end) }}</span><span
                                    class="told"><span class="text">
                                        @if ($state === 'lost')
                                            lost: {{ $session->reason }}
                                        @elseif ($state === 'cancelled')
                                            cancelled: {{ $session->reason }}
                                        @endif
                                        {{ implode(
                                            ', ',
                                            array_filter([
                                                $session->title ?? $session->topic,
                                                $session->teacher ? 'with ' . $session->teacher->shortName() : null,
                                                $core->own?->words() ?: null,
                                                $session->note,
                                            ]),
                                        ) }}
                                    </span>
                                    @if ($mayChange && ($core->start > $now || !in_array($core->state, [SessionState::Planned], true)))
                                        <a href="{{ route('section', [$section, 'session' => $session->id]) }}#session"
                                            aria-label="{{ $core->state === SessionState::Planned ? 'Change'
                                                : 'Make up' }} the session of {{ (new LocalDate($core->day))->short(
                                                ) }}">{{ $core->state === SessionState::Planned ? 'Change' : 'Make up' }}</a>
                                    @endif
                                </span>
                            </li>
                        @endforeach
                    </ul>
                    @if ($mayChange)
                        <div class="tools">
                            <details @if ($errors->hasAny(['move_day', 'move_start', 'move_end']) && $panel === null) open @endif>
                                <summary>Add an extra session…</summary>
                                <form class="inline mt-1" method="post" action="{{ route('session.add', [$section, $series]) }}">
                                    @csrf
                                    <x-date name="move_day" label="Day" :in="$term" />
                                    <input class="form-control time" name="move_start" aria-label="Starts at"
                                        value="{{ old('move_start', \Nomada\Core\Term\TypedTime::format($series->start_minute)) }}">–<input
                                        class="form-control time" name="move_end" aria-label="Ends at"
                                        value="{{ old('move_end', \Nomada\Core\Term\TypedTime::format($series->start_minute
                                            + $series->minutes)) }}"><button
                                        class="btn btn-side">Add it</button>
                                </form>
                            </details>
                            <details>
                                <summary>{{ $series->topics === [] ? 'Topics…' : Words::count(count($series->topics), 'topic') . '…' }}
                                </summary>
                                <form class="mt-1" method="post" action="{{ route('series.topics', [$section, $series]) }}">@csrf
                                    @method('put')<label class="form-label" for="topics-{{ $series->id }}">One topic a line, in
                                        order</label>
                                    <textarea class="form-control mb-2" rows="6" id="topics-{{ $series->id }}" name="topics">{{ implode(
                                        "\n", $series->topics) }}</textarea>
                                    <label class="d-block"><input class="form-check-input" type="radio" name="topics_move" value="1"
                                            @checked($series->topics_move)> when a session is lost, moved or added, the topics behind it
                                        move
                                        along</label><label class="d-block mb-2"><input class="form-check-input" type="radio"
                                            name="topics_move" value="0" @checked(!$series->topics_move)> a topic stays with its
                                        date</label>
                                    <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="from_first"
                                            value="1" @checked($planned->every(fn($one) => $one->topic !== null
                                                || $one->starts_at->timestamp > $now))> begin with the first session of the term, not the
                                        next</label><button class="btn btn-side">Lay them over the sessions</button>
                                </form>
                            </details>
                            <details>
                                <summary>
                                    {{ $series->sections->count() > 1
                                        ? 'Shared by ' . Words::count($series->sections->count(), 'section') . '…'
                                        : 'Share with another section…' }}
                                </summary>
                                @foreach ($series->sections->except([$series->section_id]) as $other)
                                    <form class="inline mt-1" method="post"
                                        action="{{ route('series.unshare', [$section, $series, $other]) }}">@csrf
                                        @method('delete')<span>{{ $other->name() }}</span><button class="btn btn-plain py-0">Take it
                                            out<span class="visually-hidden">: {{ $other->name() }}</span></button></form>
                                @endforeach
                                <form class="inline mt-1" method="post" action="{{ route('series.share', [$section, $series]) }}">
                                    @csrf<select class="form-select w-auto" name="share"
                                        aria-label="Section that shares {{ $series->title }}">
                                        <option value="">Choose a section</option>
                                        @foreach ($others->whereNotIn('id', $series->sections->modelKeys()) as $other)
                                            <option value="{{ $other->sourced_id }}">{{ $other->name() }}</option>
                                        @endforeach
                                    </select>
                                    <button class="btn btn-side">Share</button>
                                </form>
                            </details>
                        </div>
                    @elseif ($series->sections->count() > 1)
                        <p class="quiet">Shared by {{ $series->sections->map(fn($o) => $o->name())->implode(', ') }}.</p>
                    @endif
                </section>
            @empty
                <div class="empty">
                    <h2>No sessions yet</h2>This section meets at no time. @can('timetable', $section)
                        <a href="{{ route('section', [$section, 'change' => 'new']) }}">Add its series</a>, and its sessions follow from it.
                    @endcan
                </div>
            @endforelse
            @if ($changes->isNotEmpty())
                <section class="card-s">
                    <h2>History</h2>
                    <ul class="history">
                        @foreach ($changes as $change)
                            <li @class(['is-undone' => $change->undone_at])><span
                                    class="nowrap">{{ $zone->dateAt($change->at->timestamp)->short() }}
                                    {{ $zone->clock($change->at->timestamp) }}</span><span>{{ $change->person?->shortName()
                                        ?? 'import' }}</span><span>{{ $change->words }}
                                    @if ($change->undone_at)
                                        <small>undone by {{ $change->undoer?->shortName() }}</small>
                                    @endif
                                </span>
                                <span class="nowrap">
                                    @if ($mayChange && !$change->undone_at && $change->person)
                                        <form class="d-inline" method="post"
                                            action="{{ route('change.tell', [$section, $change->id]) }}">@csrf<button
                                                class="btn btn-plain py-0" aria-label="Tell them by post: {{ $change->words }}">Tell
                                                them</button></form>
                                        @endif @if ($mayChange && in_array($change->id, $undoable, true))
                                            <form class="d-inline" method="post"
                                                action="{{ route('change.undo', [$section, $change->id]) }}">@csrf<button
                                                    class="btn btn-side py-0" aria-label="Undo: {{ $change->words }}">Undo</button>
                                            </form>
                                        @endif
                                </span>
                            </li>
                        @endforeach
                    </ul>
                </section>
            @endif
        </div>
        <div>
            <section class="card-s">
                <h2>Contact time</h2><x-contact-bar :time="$contact" :width="350" />
                @if ($mayChange)
                    <details class="mt-1">
                        <summary class="quiet">{{ $contact->target === null ? 'Set a target…' : 'Change the target…' }}</summary>
                        <form class="inline mt-1" method="post" action="{{ route('contact-time.target') }}">@csrf
                            @method('put')<input type="hidden" name="sections[]" value="{{ $section->sourced_id }}"><input
                                class="form-control time" name="target" aria-label="Target in hours" placeholder="36"
                                value="{{ $contact->target === null
                                    ? ''
                                    : intdiv($contact->target, 60) . ($contact->target % 60 ? sprintf(':%02d', $contact->target % 60)
                                        : '') }}"><span
                                class="quiet">hours</span><button class="btn btn-side">Save</button></form>
                    </details>
                @endif
            </section>
            <section class="card-s">
                <h2>Joining</h2>
                @forelse ($section->series as $series)
                    @php $link = $links[$series->id]; @endphp
                    @if ($section->series->count() > 1)
                        <h3>{{ $series->title }}</h3>
                    @endif
                    @if ($link)
                        <dl class="pairs mb-2">
                            <dt>Join link</dt>
                            <dd><a href="{{ $link->address() }}">{{ Str::limit($link->address(), 34) }}</a>
                                <x-copy :text="$link->address()" />
                            </dd>
                            @can('serve', $section)
                                @if ($hostLinks[$series->id])
                                    <dt>Host link</dt>
                                    <dd><a href="{{ $hostLinks[$series->id]->address() }}">the
                                            teacher's own</a> <x-copy :text="$hostLinks[$series->id]->address()" />
                                    </dd>
                                @endif
                            @endcan
                            <dt>Join code</dt>
                            <dd class="mono">{{ \Nomada\Core\Joining\JoinCode::show($link->join_code) }}</dd>
                            <dt>By phone</dt>
                            <dd>{{ $link->dial_in }}, PIN {{ $link->pin }}</dd>
                        </dl>
                        @can('serve', $section)
                            <p class="mb-1"><a href="{{ route('series.door', [$section, $series]) }}">Door, floor, guests, registration</a>
                            </p>
                        @endcan
                    @else
                        <p class="todo mb-1">No join link yet.</p>
                    @endif
                @empty
                    <p class="quiet">A link is made for a series; there is none yet.</p>
                @endforelse
                @can('serve', $section)@if ($status->linked < $status->series)
                    <form method="post" action="{{ route('links.store') }}">@csrf<input type="hidden" name="sections[]"
                            value="{{ $section->sourced_id }}"><button class="btn btn-main">Make link</button></form>
                @endif @endcan
            </section>
            <section class="card-s">
                <h2>Registration</h2>
                <p><span class="{{ $status->series > 0 && $status->registered < $status->roster ? 'todo'
                    : 'ok' }}">{{ $status->registered }}
                        of {{ $status->roster }} registered</span></p>
                @can('serve', $section)@if ($status->series > 0 && $status->registered < $status->roster)
                    <form method="post" action="{{ route('rosters.store') }}">@csrf<input type="hidden" name="sections[]"
                            value="{{ $section->sourced_id }}"><button class="btn btn-main">Register roster</button></form>
                @endif @endcan
                <details class="mt-1">
                    <summary>The roster</summary>
                    <ul class="roster">
                        @forelse ($students as $e)
                            @php $isIn = ($registered[$e->person_id] ?? 0) >= max(1, $status->series); @endphp
                            <li><x-shape :is="$isIn ? 'published' : 'planned'" :label="$isIn ? 'registered' : 'not registered'" />
                                <span>{{ $e->person->name() }}@if ($e->ends_on)
                                        <small>until {{ LocalDate::parse($e->ends_on)->dayMonth() }}</small>
                                        @endif @if ($e->begins_on)
                                            <small>from {{ LocalDate::parse($e->begins_on)->dayMonth() }}</small>
                                        @endif
                                </span>
                                <a class="ms-auto" href="{{ route('look', $e->person->sourced_id) }}"
                                    aria-label="{{ __('publishing.look.link', ['name' => $e->person->name()]) }}">
                                    {{ __('publishing.look.go') }}</a>
                        </li>@empty<li class="quiet">Nobody is enrolled.</li>
                        @endforelse
                    </ul>
                </details>
            </section>
            @include('registration.answers')
            <section class="card-s">
                <h2>Teachers and observers</h2>
                <ul class="roster one-column">
                    @foreach ($teachers->filter(fn($t) => $t->observer_rule_id === null) as $t)
                        <li><span>{{ $t->person->name() }}
                                <small>{{ $t->role === 'observer' ? 'observer, optional' : $t->role }}</small></span>
                            @if ($mayChange && $t->is_local)
                                <form method="post" action="{{ route('parts.destroy', [$section, $t->id]) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Take out<span class="visually-hidden">:
                                            {{ $t->person->name() }}</span></button></form>
                            @endif
                        </li>
                    @endforeach
                    @foreach ($rules as $rule)
                        <li><span>{{ $rule->words() }}
                                <small>{{ Words::count($teachers->where('observer_rule_id', $rule->id)->count(), 'observer') }},
                                    optional</small></span>
                            @if ($mayChange)
                                <form method="post" action="{{ route('observer-rules.destroy', [$section, $rule->id]) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Take back<span class="visually-hidden">:
                                            {{ $rule->words() }}</span></button></form>
                            @endif
                        </li>
                    @endforeach
                </ul>
                @if ($mayChange)
                    <details class="mt-1" @if ($errors->hasAny(['person', 'rule'])) open @endif>
                        <summary>Add…</summary>
                        <form class="inline mt-1" method="post" action="{{ route('parts.store', $section) }}">@csrf<select
                                class="form-select flex-fill w-auto" name="person" aria-label="Person">
                                <option value="">Choose a person</option>
                                @foreach ($staff as $p)
                                    <option value="{{ $p->sourced_id }}">{{ $p->family_name }}, {{ $p->given_name }}</option>
                                @endforeach
                            </select>
                            <button class="btn btn-side" name="role" value="co-teacher">as co-teacher</button><button
                                class="btn btn-side" name="role" value="observer">as observer</button>
                        </form>
                        <form class="inline mt-2" method="post" action="{{ route('observer-rules.store', $section) }}">@csrf<select
                                class="form-select flex-fill w-auto" name="rule" aria-label="Observers by rule">
                                <option value="">Everybody of…</option>
                                @foreach ($years as $y)
                                    <option value="year:{{ $y }}">Year {{ $y }}</option>
                                    @endforeach @foreach ($courses as $c)
                                        <option value="course:{{ $c->sourced_id }}">{{ $c->title }}</option>
                                    @endforeach
                            </select>
                            <button class="btn btn-side">as observers</button>
                        </form>
                    </details>
                @endif
            </section>
            <section class="card-s">
                <h2>Publishing</h2>
                <dl class="pairs mb-2">
                    @foreach (Place::cases() as $place)
                        @php
                            $n = $places[$place->value] ?? \Nomada\App\Actions\Publishing\PlanQuery::NONE;
                            $left = $n['add'] + $n['change'] + $n['remove'];
                        @endphp
                        <dt>{{ $place->title() }}</dt>
                        <dd>{{ $n['leave'] + $n['change'] + $n['remove'] }} standing{{ $left > 0 ? ", $left to publish" : '' }}
                            @if ($n['trouble'] > 0)
                                <span class="bad">{{ $n['trouble'] }} refused</span>
                            @endif
                            @if ($place === Place::CoursePage)
                                @if ($coursePage !== null)
                                    · <a href="{{ $coursePage }}">open</a>
                                @endif
                            @elseif ($place === Place::ClassStream)
                                @if ($stream !== null)
                                    · <a href="{{ $stream }}">open</a>
                                @endif
                            @endif
                        </dd>
                    @endforeach
                </dl>
                @can('serve', $section)
                    <form method="post" action="{{ route('publishing.choose') }}">@csrf<input type="hidden" name="sections[]"
                            value="{{ $section->sourced_id }}"><button
                            class="btn {{ $status->differing() > 0 ? 'btn-main' : 'btn-side' }}">Preview publishing…</button></form>
                @endcan
            </section>
            @can('serve', $section)
                @include('publishing.materials', ['section' => $section, 'materials' => $materials, 'sessions' => $ahead])
                <x-card :title="__('remind.title')">
                    @include('publishing.remind', [
                        'to' => route('section.remind', $section),
                        'label' => __('remind.section'),
                        'choices' => Nomada\Core\Post\Reminder::ofSections(),
                        'value' => $section->remind,
                    ])
                    <p class="quiet small mb-0">{{ __('remind.hint') }}</p>
                </x-card>
            @endcan
            <section class="card-s">
                <h2>Calendar feed</h2>
                <p class="quiet mb-1">A read-only calendar at a secret address: whoever has it sees this section's sessions.</p>
                <p><a class="mono" href="{{ $feed }}">{{ Str::limit($feed, 44) }}</a> <x-copy :text="$feed" /></p>
                <p class="mb-1"><a href="{{ route('section.calendar', $section) }}">As a file (.ics)</a>
                    @can('serve', $section)
                        · <a href="{{ route('section.cartridge', $section) }}">{{ __('publishing.cartridge.title') }}</a>
                    @endcan
                </p>
                <p class="quiet mb-1">{{ __('publishing.own.hint') }}</p>
                <p class="mb-0"><a href="{{ $own }}">{{ __('publishing.own.title') }}</a> <x-copy :text="$own" />
                    · <a href="{{ $atom }}">{{ __('publishing.stream.title') }}</a></p>
                @can('coordinate')
                    <p class="mt-2 mb-0"><a href="{{ route('showing.section', $section) }}">{{ __('showing.title') }}</a></p>
                @endcan
            </section>
        </div>
    </div>
    <x-slot:keys>
        <dt><kbd>Tab</kbd></dt>
        <dd>through the page; the line's sessions are listed below it</dd>
    </x-slot:keys>
</x-app>
