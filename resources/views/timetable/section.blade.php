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
<div class="bar"><h1>{{ $section->name() }}</h1>
    <div class="sum">{{ $row->meets === '' ? 'no timetable yet' : $row->meets.($section->series->every(fn ($s) => $s->time_zone === $zone->name) ? ' '.$zone->place() : '') }} · @foreach ($teachers as $t){{ $t->person->shortName() }}{{ $t->role === 'teacher' ? '' : " ($t->role)" }}{{ $loop->last ? '' : ', ' }}@endforeach · {{ Words::count($status->roster, 'student') }}</div>
    @can('timetable', $section)<div class="end"><a class="btn btn-side" href="{{ route('section', [$section, 'change' => 'new']) }}">Add a series</a></div>@endcan
</div>
<div x-data="board" data-left="{{ $scale['left'] }}" data-week="{{ $scale['week'] }}" data-monday="{{ $scale['monday'] }}">
    <svg class="line mt-2" width="{{ $line->width }}" height="18" role="img" aria-label="Weeks of the term">@foreach ($line->labels() as $label)<text x="{{ $label['x'] }}" y="14">{{ $label['text'] }}</text>@endforeach</svg>
    <x-term-line :line="$line" :days="$row->days" :today="$today" :minute="$minute" :name="$section->name()" :url="route('section', $section)" large/>
</div>
@if ($editing !== null)
    @can('timetable', $section)
        @include('timetable.series-editor', ['series' => $editing === 'new' ? null : $editing])
    @endcan
@endif
@error('reason')<p class="fault" role="alert">{{ $message }}</p>@enderror
@foreach (['move_day', 'move_start', 'move_end'] as $f)@error($f)<p class="fault" role="alert">{{ $message }}</p>@enderror @endforeach
@error('session')<p class="fault" role="alert">{{ $message }}</p>@enderror
@foreach ($status->snags() as $snag)
    @if ($loop->first)<ul class="legend" aria-label="Snags">@endif
    <li><span class="{{ $snag->isWrong ? 'bad' : 'todo' }}">{{ $snag->words }}</span></li>
    @if ($loop->last)</ul>@endif
@endforeach
<div class="columns mt-2">
<div>
    @forelse ($section->series as $series)
        @php
            $planned = $series->sessions->where('state', SessionState::Planned);
            $lost = $series->sessions->where('state', SessionState::Lost);
        @endphp
        <section class="card-s">
            <div class="d-flex align-items-baseline gap-3 flex-wrap"><h2>{{ $series->title }}</h2>
                <span class="quiet">{{ $series->plan()->sentence() }}{{ $series->time_zone === $zone->name ? '' : ' '.$series->plan()->zone->place() }} · {{ Words::count($planned->count(), 'session') }}, {{ Words::minutes($planned->count() * $series->minutes) }}{{ $lost->isEmpty() ? '' : ' · '.$lost->count().' lost' }}</span>
                @can('timetable', $section)
                    <a class="ms-auto" href="{{ route('section', [$section, 'change' => $series->id]) }}">Change</a>
                @endcan</div>
            <ul class="sessions">
                @foreach ($series->sessions as $session)
                    @php
                        $core = $session->toCore();
                        $isPast = $core->end <= $now;
                        $state = $core->state !== SessionState::Planned ? $core->state->value : ($isPast ? 'past' : collect($row->days)->search(fn ($days) => in_array($core->day, $days, true)));
                    @endphp
                    <li id="day-{{ $session->day }}" @class(['is-lost' => in_array($state, ['lost', 'cancelled'], true), 'is-chosen' => $day === $session->day]) @if ($day === $session->day) aria-current="date" @endif>
                        @if (in_array($state, ['lost', 'cancelled'], true))<svg width="14" height="14" aria-hidden="true"><rect x="1" y="1" width="12" height="12" fill="url(#hatch)"/></svg>@else<x-shape :is="(string) $state" :label="(string) $state"/>@endif
                        <span>{{ (new LocalDate($core->day))->short() }}</span><span>{{ $zone->clock($core->start) }}–{{ $zone->clock($core->end) }}</span><span>@if ($state === 'lost')lost: {{ $session->reason }}@elseif ($state === 'cancelled')cancelled: {{ $session->reason }} @if ($mayChange && ! $isPast)<form class="d-inline" method="post" action="{{ route('session.restore', [$section, $series, $session]) }}">@csrf @method('delete')<button class="btn btn-plain py-0">Hold it after all</button></form>@endif
                        @else<span class="moved">{{ $session->moved_from ? 'moved from '.LocalDate::parse($session->moved_from)->short() : '' }}</span>@if ($mayChange && $core->start > $now)<details class="cancel"><summary aria-label="Change the session of {{ (new LocalDate($core->day))->short() }}">Change…</summary>
                            <form method="post" action="{{ route('session.move', [$section, $series, $session]) }}">@csrf @method('put')<input class="form-control" type="date" name="move_day" value="{{ $session->day }}" min="{{ $term->first->iso() }}" max="{{ $term->last->iso() }}" aria-label="Day"><input class="form-control time" name="move_start" value="{{ $zone->clock($core->start) }}" aria-label="Starts at"><input class="form-control time" name="move_end" value="{{ $zone->clock($core->end) }}" aria-label="Ends at"><button class="btn btn-side">Move this one</button></form>
                            <form method="post" action="{{ route('session.cancel', [$section, $series, $session]) }}">@csrf<input class="form-control" name="reason" maxlength="160" aria-label="Why it is cancelled" placeholder="Why? Students read it"><button class="btn btn-side">Cancel this one</button></form></details>@endif @endif</span></li>
                @endforeach
            </ul>
        </section>
    @empty
        <div class="empty"><h2>No sessions yet</h2>This section meets at no time. @can('timetable', $section)<a href="{{ route('section', [$section, 'change' => 'new']) }}">Add its series</a>, and its sessions follow from it.@endcan</div>
    @endforelse
</div>
<div>
    <section class="card-s"><h2>Joining</h2>
        @forelse ($section->series as $series)
            @php $link = $links[$series->id]; @endphp
            @if ($section->series->count() > 1)<h3>{{ $series->title }}</h3>@endif
            @if ($link)
                <dl class="pairs mb-2">
                    <dt>Join link</dt><dd><a href="{{ $link->address() }}">{{ Str::limit($link->address(), 38) }}</a> <x-copy :text="$link->address()"/></dd>
                    @can('serve', $section)@if ($hostLinks[$series->id])<dt>Host link</dt><dd><a href="{{ $hostLinks[$series->id]->address() }}">the teacher's own</a> <x-copy :text="$hostLinks[$series->id]->address()"/></dd>@endif @endcan
                    <dt>Join code</dt><dd class="mono">{{ \Nomada\Core\Joining\JoinCode::show($link->join_code) }}</dd>
                    <dt>By phone</dt><dd>{{ $link->dial_in }}, PIN {{ $link->pin }}</dd>
                </dl>
            @else
                <p class="todo mb-1">No join link yet.</p>
            @endif
        @empty
            <p class="quiet">A link is made for a series; there is none yet.</p>
        @endforelse
        @can('serve', $section)@if ($status->linked < $status->series)
            <form method="post" action="{{ route('links.store') }}">@csrf<input type="hidden" name="sections[]" value="{{ $section->sourced_id }}"><button class="btn btn-main">Make link</button></form>
        @endif @endcan
    </section>
    <section class="card-s"><h2>Registration</h2>
        <p><span class="{{ $status->series > 0 && $status->registered < $status->roster ? 'todo' : 'ok' }}">{{ $status->registered }} of {{ $status->roster }} registered</span></p>
        @can('serve', $section)@if ($status->series > 0 && $status->registered < $status->roster)
            <form method="post" action="{{ route('rosters.store') }}">@csrf<input type="hidden" name="sections[]" value="{{ $section->sourced_id }}"><button class="btn btn-main">Register roster</button></form>
        @endif @endcan
        <details class="mt-1"><summary>The roster</summary><ul class="roster">
            @forelse ($students as $e)<li><x-shape :is="($registered[$e->person_id] ?? 0) >= max(1, $status->series) ? 'published' : 'planned'" :label="($registered[$e->person_id] ?? 0) >= max(1, $status->series) ? 'registered' : 'not registered'"/><span>{{ $e->person->name() }}@if ($e->ends_on) <small>until {{ LocalDate::parse($e->ends_on)->dayMonth() }}</small>@endif @if ($e->begins_on) <small>from {{ LocalDate::parse($e->begins_on)->dayMonth() }}</small>@endif</span></li>@empty<li class="quiet">Nobody is enrolled.</li>@endforelse
        </ul></details>
    </section>
    <section class="card-s"><h2>Publishing</h2>
        <dl class="pairs mb-2">
            @foreach (Place::cases() as $place)
                @php $n = $places[$place->value] ?? \Nomada\App\Actions\Publishing\PlanQuery::NONE; $left = $n['add'] + $n['change'] + $n['remove']; @endphp
                <dt>{{ $place->title() }}</dt><dd>{{ $n['leave'] + $n['change'] + $n['remove'] }} standing{{ $left > 0 ? ", $left to publish" : '' }}@if ($n['trouble'] > 0) <span class="bad">{{ $n['trouble'] }} refused</span>@endif
                    @if ($place === Place::CoursePage) · <a href="{{ $coursePage }}">open</a>@elseif ($place === Place::ClassStream) · <a href="{{ $stream }}">open</a>@endif</dd>
            @endforeach
        </dl>
        @can('serve', $section)
            <form method="post" action="{{ route('publishing.choose') }}">@csrf<input type="hidden" name="sections[]" value="{{ $section->sourced_id }}"><button class="btn {{ $status->differing() > 0 ? 'btn-main' : 'btn-side' }}">Preview publishing…</button></form>
        @endcan
    </section>
    <section class="card-s"><h2>Calendar feed</h2><p class="quiet mb-1">A read-only calendar at a secret address: whoever has it sees this section's sessions.</p>
        <p><a class="mono" href="{{ $feed }}">{{ Str::limit($feed, 44) }}</a> <x-copy :text="$feed"/></p></section>
</div>
</div>
<x-slot:keys><dt><kbd>Tab</kbd></dt><dd>through the page; the line's sessions are listed below it</dd></x-slot:keys>
</x-app>
