@php
    $words = [
        'accepted' => 'You are registered',
        'waiting' => 'Your registration is waiting',
        'queued' => 'You are on the waiting list',
        'declined' => 'Your registration was declined',
        'withdrawn' => 'Taken back',
    ];
    $once = !$each && $own !== [] && $own[0]['state'] !== 'withdrawn' ? $own[0] : null;
@endphp
<x-app :title="'Register for ' . $section->name()">
    <div class="phone">
        <p class="over-title mb-0">{{ $section->name() }}{{ $teacher === '' ? '' : ' · ' . $teacher }}</p>
        <h1>{{ $once
            ? $words[$once['state']]
            : ($canRegister
                ? 'Register for this class'
                : ($each && $own !== []
                    ? 'Your registrations'
                    : 'Registration')) }}
        </h1>
        @if ($once)
            @if ($once['state'] === 'accepted')
                <p>Your own link lets in nobody else. Keep it, or come from your own page.</p>
                @if ($link)
                    <a class="act main" href="{{ $link }}">To the door</a>
                @endif
            @elseif ($once['state'] === 'waiting')
                <p>Somebody compares it with the roster. You get a letter when that is done, and can look here any time.</p>
            @elseif ($once['state'] === 'queued')
                <p>All seats are taken. You are number {{ $once['place'] }} on the waiting list, and move up when a seat is given back.</p>
            @elseif ($once['state'] === 'declined')
                <p class="fault">Because: {{ $once['reason'] }}</p>
            @endif
            @if (in_array($once['state'], ['accepted', 'waiting', 'queued'], true))
                <form method="post" action="{{ route('register.destroy', [$series, $once['id']]) }}">@csrf @method('delete')<button
                        class="act">I do not come after all</button></form>
            @endif
        @elseif ($each && $own !== [])
            <ul class="coming">
                @foreach ($own as $o)
                    @if ($o['state'] !== 'withdrawn')
                        <li><span class="t">{{ $o['day'] }}</span><span class="n"><span
                                    class="{{ ['accepted' => 'ok', 'declined' => 'bad'][$o['state']] ?? 'todo' }}">{{ [
                                        'accepted' => 'registered',
                                        'waiting' => 'waiting for a decision',
                                        'queued' => "number {$o['place']} on the waiting list",
                                        'declined' => 'declined: ' . $o['reason'],
                                    ][$o['state']] }}</span></span>
                            @if ($o['state'] !== 'declined')
                                <form method="post" action="{{ route('register.destroy', [$series, $o['id']]) }}">@csrf
                                    @method('delete')<button class="btn btn-plain">Take back<span class="visually-hidden">
                                        {{ $o['day'] }}</span></button></form>@else<span></span>
                            @endif
                        </li>
                    @endif
                @endforeach
            </ul>
            @if ($link)
                <a class="act main" href="{{ $link }}">To the door</a>
            @endif
        @endif
        @if ($canRegister)
            @if ($seatsLeft !== null)
                <p class="{{ $seatsLeft === 0 ? 'todo' : '' }}">
                    {{ $seatsLeft === 0
                        ? 'All seats are taken; you would come on the waiting list.'
                        : ($seatsLeft === 1
                            ? '1 seat is left.'
                            : "$seatsLeft seats are left.") }}
                </p>
            @endif
            <form method="post" action="{{ route('register.store', $series) }}" class="mt-3">@csrf
                <label for="typed_name">Your name</label><input class="form-control mb-2" id="typed_name" name="typed_name" maxlength="160"
                    autocomplete="name" required value="{{ old('typed_name', $person->name()) }}"
                    @error('typed_name') aria-invalid="true" @enderror>
                @error('typed_name')
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
                <label for="typed_email">Your e-mail address</label><input class="form-control mb-2" id="typed_email" name="typed_email"
                    type="email" maxlength="160" autocomplete="email" required value="{{ old('typed_email', $person->email) }}"
                    @error('typed_email') aria-invalid="true" @enderror>
                @error('typed_email')
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
                @if ($each)
                    <fieldset class="mt-2">
                        <legend>Which sessions</legend>
                        @foreach ($days as $d)
                            <div class="form-check"><input class="form-check-input" type="checkbox" id="day-{{ $d['day'] }}"
                                    name="days[]" value="{{ $d['day'] }}" @checked(in_array($d['day'], (array) old('days', []),
                                        true))><label class="form-check-label"
                                    for="day-{{ $d['day'] }}">{{ $d['words'] }}{{ $d['topic'] ? ' · ' . $d['topic'] : '' }}</label>
                            </div>
                        @endforeach
                    </fieldset>
                    @error('days')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror
                @endif
                @error('name')
                    <div class="fault" role="alert">{{ $message }}</div>
                @enderror
                <p class="quiet mt-2 mb-0">What is checked: your name and address are compared with the roster of this class. If they
                    match, you are registered {{ $registering->acceptsCertain ? 'straight away' : 'soon' }}. If not, somebody checks
                    first. You get a letter either way.</p>
                <button class="act main">Register</button>
            </form>
        @elseif (!$once && $shut)
            <p>{{ $shut }}</p>
            @error('name')
                <div class="fault" role="alert">{{ $message }}</div>
            @enderror
        @endif
        <dl class="helps">
            <dt>Next ones</dt>
            <dd>
                @forelse ($when as $w)
                    {{ $w }}
                <br>@empty none is left
                @endforelse
            </dd>
            <dt>On the clock of</dt>
            <dd>{{ $zone->place() }}</dd>
            @if ($left > 0)
                <dt>Sessions left</dt>
                <dd>{{ $left }}</dd>
                @endif @if ($registering)
                    <dt>How</dt>
                    <dd>{{ $registering->say() }}.</dd>
                @endif
        </dl>
    </div>
</x-app>
