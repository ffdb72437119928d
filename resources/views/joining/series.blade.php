@php
    use Nomada\App\Support\Words;
    use Nomada\Core\Joining\JoinCode;
    use Nomada\Core\Publishing\Place;
    use Nomada\Core\Term\LocalDate;
    $may = Gate::check('serve', $section);
@endphp
<x-app :title="'Joining ' . $section->name()">
    <div class="bar">
        <h1>{{ $section->name() }}{{ $series->title === $section->title ? '' : ": $series->title" }}</h1>
        <div class="sum">{{ $preset->name }}{{ $link === null ? ' · no link yet' : ($link->is_hidden ? ' · hidden' : '') }}</div>
        <div class="end"><a class="btn btn-side" href="{{ route('section', $section) }}">Section</a>
            @if ($next && $link)
                <a class="btn btn-side" href="{{ route('live', $next->id) }}">Live desk</a><a class="btn btn-side"
                    href="{{ route('live', [$next->id, 'rehearsal' => 1]) }}">Rehearse</a>
            @endif
        </div>
    </div>
    <p class="mt-3 mb-1">{{ $sentence }}</p>
    @if ($more !== [])
        <div class="{{ $isAccepted ? 'said' : 'fault' }}">More open than its preset: {{ implode(', ', $more) }}.@if ($isAccepted)
                Accepted by {{ $acceptedBy }}.
            @elseif ($may)
                <form class="d-inline" method="post" action="{{ route('series.open.accept', [$section, $series]) }}">@csrf<button
                        class="btn btn-side ms-2">Accept it, with my name</button></form>
            @endif
        </div>
    @endif
    @error('link')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    <div class="columns mt-2">
        <div>
            @if ($link === null)
                <section class="card-s">
                    <h2>Links</h2>
                    <p class="todo">No join link yet.</p>
                    @if ($may)
                        <form method="post" action="{{ route('links.store') }}">@csrf<input type="hidden" name="sections[]"
                                value="{{ $section->sourced_id }}"><button class="btn btn-main">Make link</button></form>
                    @endif
                </section>
            @else<section class="card-s">
                    <h2>Links</h2>
                    <div class="links-and-qr">
                        <dl class="pairs wide-names">
                            <dt>Join link</dt>
                            <dd><a href="{{ $link->address() }}">{{ Str::limit($link->address(), 46) }}</a>
                                <x-copy :text="$link->address()" />
                            </dd>
                            <dt>Join code</dt>
                            <dd class="mono">{{ JoinCode::show((string) $link->join_code) }} <x-copy
                                    :text="JoinCode::show((string) $link->join_code)" /></dd>
                            <dt>By phone</dt>
                            <dd>{{ $link->dial_in }}, PIN {{ $link->pin }}</dd>
                            @if ($host && $may)
                                <dt>Host link</dt>
                                <dd><a href="{{ $host->address() }}">the teacher's own</a> <x-copy :text="$host->address()" /></dd>
                            @endif
                            <dt>Short address</dt>
                            <dd>
                                @if ($link->short_address)
                                    <a href="{{ route('short', $link->short_address) }}">{{ route('short', $link->short_address) }}</a>
                                <x-copy :text="route('short', $link->short_address)" />@else<span class="quiet">none</span>
                                @endif
                                @if ($may)
                                    <details @error('short_address') open @enderror>
                                        <summary class="quiet">{{ $link->short_address ? 'Change…' : 'Give it one…' }}</summary>
                                        <form class="inline mt-1" method="post" action="{{ route('series.short', [$section, $series]) }}">
                                            @csrf @method('put')<input class="form-control w-auto" name="short_address"
                                                aria-label="Short address" maxlength="60"
                                                value="{{ old('short_address', $link->short_address) }}"
                                                placeholder="from the section's words"><button class="btn btn-side">Save</button></form>
                                        @error('short_address')
                                            <div class="invalid" role="alert">{{ $message }}</div>
                                        @enderror
                                    </details>
                                @endif
                            </dd>
                        </dl>
                        <div x-data="qr" data-text="{{ $link->address() }}" class="qr" role="img"
                            aria-label="QR code of the join link"></div>
                    </div>
                    <details class="mt-2">
                        <summary>The whole invitation, on each student's clock</summary>
                        @foreach ($invitations as $i)
                            <details class="mt-1 ms-3" @if ($loop->first) open @endif>
                                <summary>On {{ $i['zone']->place() }} time <span
                                        class="quiet">{{ Words::count($i['students'], 'student') }}</span></summary>
                                <pre class="invitation">{{ $i['text'] }}</pre><x-copy :text="$i['text']" />
                            </details>
                        @endforeach
                    </details>
                    @if ($may)
                        <div class="inline mt-3">
                            <form method="post" action="{{ route('series.hide', [$section, $series]) }}">@csrf<input type="hidden"
                                    name="hidden" value="{{ $link->is_hidden ? 0 : 1 }}"><button
                                    class="btn btn-side">{{ $link->is_hidden ? 'Show the links' : 'Hide the links' }}</button></form>
                            <details>
                                <summary class="btn btn-wrong">Replace the links…</summary>
                                <div class="warn">
                                    <p>{{ $personal->count() + ($host ? 2 : 1) }} links die at once. What stands at
                                        {{ $places === []
                                            ? 'no destination yet'
                                            : implode(', ', array_map(fn($p) => Place::from($p->place)->title() . " ({$p->n})", $places)) }}
                                        becomes stale, and the next publish run mends it.</p>
                                    <form method="post" action="{{ route('series.replace', [$section, $series]) }}">@csrf<button
                                            class="btn btn-wrong">Replace them now</button></form>
                                </div>
                            </details>
                        </div>
                    @endif
                </section>
                <section class="card-s">
                    <h2>Where they stand</h2>
                    @if ($places === [])
                        <p class="quiet">Nothing is published yet.</p>
                    @else
                        @foreach ($places as $p)
                            <details>
                                <summary>{{ Place::from($p->place)->title() }}: {{ Words::count($p->n, 'placement') }}@if ($p->stale > 0)
                                        <span class="todo">{{ $p->stale }} stale</span>
                                    @endif
                                </summary>
                                <ul class="roster">
                                    @foreach ($standing[$p->place] ?? [] as $one)
                                        <li><span>{{ $one->label }}</span>
                                            @if ($one->stale)
                                                <span class="todo">stale</span>
                                            @endif
                                        </li>
                                    @endforeach
                                </ul>
                            </details>
                        @endforeach
                    @endif
                    <details>
                        <summary>{{ Words::count($personal->count(), 'personal link') }}</summary>
                        <ul class="roster one-column">
                            @foreach ($personal as $p)
                                <li><span>{{ $p->person?->name() }}</span>
                                    @if ($may)
                                        <form method="post" action="{{ route('series.replace', [$section, $series]) }}">@csrf<input
                                                type="hidden" name="link" value="{{ $p->id }}"><button
                                                class="btn btn-plain py-0">Replace<span class="visually-hidden">
                                                    {{ $p->person?->name() }}'s</span></button></form>
                                        <form method="post" action="{{ route('series.again', [$section, $series, $p->id]) }}">@csrf<button
                                                class="btn btn-plain py-0">Send again<span class="visually-hidden"> to
                                                    {{ $p->person?->name() }}</span></button></form>
                                    @endif
                                </li>
                            @endforeach
                        </ul>
                    </details>
                </section>
                <section class="card-s">
                    <h2>Guest passes</h2>
                    @forelse ($guests as $g)
                        <p class="mb-1"><b>{{ $g->guest_name }}</b> <span class="quiet">until
                                {{ $zone->dateAt($g->expires_at->timestamp - 1)->short() }}{{ $g->only_day ? ', ' . LocalDate::parse(
                                    $g->only_day)->short() . ' only' : '' }}</span>
                            <x-copy :text="$g->address()" />
                            @if ($may)
                                <form class="d-inline" method="post"
                                    action="{{ route('series.guest.withdraw', [$section, $series, $g->id]) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Take back<span class="visually-hidden">:
                                            {{ $g->guest_name }}</span></button></form>
                            @endif
                        </p>
                    @empty<p class="quiet">Nobody from outside has a pass.</p>
                    @endforelse
                    @if ($may)
                        <details @if ($errors->hasAny(['guest_name', 'guest_email', 'until', 'only_day'])) open @endif>
                            <summary>Make a pass…</summary>
                            <form class="mt-1" method="post" action="{{ route('series.guest', [$section, $series]) }}">@csrf<div
                                    class="inline mb-2"><input class="form-control w-auto" name="guest_name" aria-label="Name of the guest"
                                        placeholder="Who" value="{{ old('guest_name') }}"><input class="form-control w-auto"
                                        name="guest_email" aria-label="E-mail of the guest" placeholder="E-mail, if known"
                                        value="{{ old('guest_email') }}"></div>
                                <div class="inline mb-2"><label for="until">good until</label>
                                    <x-date id="until" name="until" :in="$term" />
                                    <label for="only_day">only
                                        for</label>
                                    <x-date id="only_day" name="only_day" />
                                </div>
                                @foreach (['guest_name', 'guest_email', 'until', 'only_day'] as $f)
                                    @error($f)
                                        <div class="invalid" role="alert">{{ $message }}</div>
                                    @enderror
                                @endforeach
                                <button class="btn btn-side">
                                    Make the pass</button>
                            </form>
                        </details>
                    @endif
                </section>
            @endif
        </div>
        <div>
            <section class="card-s" id="registering">
                <h2>Registration</h2>
                <p>{{ $registering ? $registering->say() . '.' : 'The roster is registered as a whole, and followed.' }}@if ($registering)
                        <a href="{{ route('register', $series) }}">{{ route('register', $series) }}</a>
                        <x-copy :text="route('register', $series)" />
                    @endif
                </p>
                @if ($may)
                    <details @if ($errors->hasAny(['mode', 'opens_on', 'closes_on', 'seats'])) open @endif>
                        <summary>Change…</summary>
                        <form class="mt-2" method="post" action="{{ route('series.registering', [$section, $series]) }}">@csrf
                            <x-drawn :of="'registering:' . $series->id" />
                            @method('put')
                            @foreach (['roster' => 'The roster is followed', 'once' => 'Students register once', 'each' =>
                                'Students register for each session'] as $k => $w)
                                <div class="form-check"><input class="form-check-input" type="radio" name="mode"
                                        id="mode-{{ $k }}" value="{{ $k }}" @checked(old('mode', $registering === null ? 'roster' : (
                                            $registering->each ? 'each' : 'once')) === $k)><label
                                        class="form-check-label" for="mode-{{ $k }}">{{ $w }}</label></div>
                            @endforeach
                            <div class="form-check mt-2"><input class="form-check-input" type="checkbox" name="accepts_certain"
                                    id="accepts_certain" value="1" @checked(old('accepts_certain',
                                        $registering?->acceptsCertain))><label class="form-check-label"
                                    for="accepts_certain">Accept by itself who certainly is on the roster</label></div>
                            <div class="inline mt-2"><label for="opens">open from</label>
                                <x-date id="opens" name="opens_on" :value="$registering?->opens?->iso()" />
                                <label for="closes">until</label>
                                <x-date id="closes" name="closes_on" :value="$registering?->closes?->iso()" />
                            </div>
                            <div class="inline mt-2"><label for="seats">seats</label><input class="form-control n" id="seats"
                                    name="seats" inputmode="numeric" value="{{ old('seats', $registering?->seats) }}"
                                    placeholder="any"></div>
                            @foreach (['mode', 'opens_on', 'closes_on', 'seats'] as $f)
                                @error($f)
                                    <div class="invalid" role="alert">{{ $message }}</div>
                                @enderror
                            @endforeach
                            <button class="btn btn-side mt-2">
                                Save</button>
                        </form>
                    </details>
                @endif
            </section>
            @if ($link && $may)
                <section class="card-s">
                    <h2>Letters</h2>
                    <p>Everybody who is registered, their guardians and the teachers get link and timetable by post; whoever has had them
                        already gets nothing.</p>
                    <form method="post" action="{{ route('series.invite', [$section, $series]) }}">@csrf<button
                            class="btn btn-side">Write to everybody</button></form>
                </section>
            @endif
            <section class="card-s">
                <h2>Preset</h2>
                @if ($may)
                    <form method="post" action="{{ route('series.preset', [$section, $series]) }}" class="inline">@csrf <x-drawn
                            :of="'door:' . $series->id" />
                        @method('put')<select class="form-select w-auto" name="preset" aria-label="Preset">
                            @foreach ($presets as $p)
                                <option value="{{ $p->key }}" @selected($p->key === $preset->key)>{{ $p->name }}</option>
                            @endforeach
                        </select>
                        <button class="btn btn-side">Set</button>
                    </form>
                    @error('preset')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror @else{{ $preset->name }}
                @endif
            </section>
            <section class="card-s" id="rules">
                <h2>{{ $chosen ? 'For ' . LocalDate::parse($chosen->day)->short() . ' only' : 'For this series' }}</h2>
                @if ($own !== [])
                    <h3>Sessions with a door of their own</h3>
                @endif
                @foreach ($own as $o)
                    @php $date = LocalDate::parse($o['session']->day)->short(); @endphp<p class="mb-1"><b>{{ $date }}</b> {{ $o[
                        'words'] }} @if ($may)
                            <form class="d-inline" method="post"
                                action="{{ route('series.rules.session', [$section, $series, $o['session']]) }}">@csrf
                                @method('delete')<button class="btn btn-plain py-0">As the series<span class="visually-hidden"> on
                                        {{ $date }}</span></button></form>
                        @endif
                    </p>
                @endforeach
                @if ($may)
                    <form class="inline mb-3 mt-2" method="get" action="{{ route('series.door', [$section, $series]) }}#rules"><select
                            class="form-select w-auto" name="only" aria-label="For which sessions">
                            <option value="">the whole series</option>
                            @foreach ($coming as $s)
                                <option value="{{ $s->id }}" @selected($chosen?->id === $s->id)>
                                    {{ LocalDate::parse($s->day)->short() }}, {{ $zone->clock((int) $s->starts_at->timestamp) }} only
                                </option>
                            @endforeach
                        </select>
                        <button class="btn btn-side">Change this one</button>
                    </form>
                    @error('only')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror
                    <form method="post" action="{{ route('series.rules', [$section, $series]) }}">@csrf
                        <x-drawn :of="'door:' . $series->id . ($chosen ? ':' . $chosen->id : '')" /> @method('put')@if ($chosen)
                            <input type="hidden" name="only" value="{{ $chosen->id }}">
                        @endif
                        @include('joining.door-form')<button
                            class="btn btn-main mt-2">{{ $chosen ? 'Save for this session' : 'Save' }}</button>
                    </form>
                @endif
            </section>
        </div>
    </div>
</x-app>
