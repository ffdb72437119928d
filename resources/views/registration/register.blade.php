<x-app :title="__('register.title', ['section' => $section->name()])">
    <div class="phone">
        <p class="over-title mb-0">{{ $section->name() }}{{ $teacher === '' ? '' : ' · ' . $teacher }}</p>
        <h1>{{ __('register.heads.' . ($once ? $once['state'] : ($canRegister ? 'may' : ($each && $own !== [] ? 'own' : 'shut')))) }}</h1>
        @if ($once)
            @if ($once['state'] === 'accepted')
                <p>{{ __('register.own_link') }}</p>
                @if ($link)
                    <a class="act main" href="{{ $link }}">{{ __('register.door') }}</a>
                @endif
            @elseif ($once['state'] === 'waiting')
                <p>{{ __('register.waits') }}</p>
            @elseif ($once['state'] === 'queued')
                <p>{{ __('register.queued', ['place' => $once['place']]) }}</p>
            @elseif ($once['state'] === 'declined')
                <p class="fault">{{ __('register.because', ['reason' => $once['reason']]) }}</p>
            @endif
            @if (in_array($once['state'], ['accepted', 'waiting', 'queued'], true))
                <form method="post" action="{{ route('register.destroy', [$series, $once['id']]) }}">@csrf @method('delete')<button
                        class="act">{{ __('register.withdraw') }}</button></form>
            @endif
        @elseif ($each && $own !== [])
            <ul class="coming">
                @foreach ($own as $o)
                    @if ($o['state'] !== 'withdrawn')
                        <li><span class="t">{{ $o['day'] }}</span><span class="n"><span
                                    class="{{ ['accepted' => 'ok', 'declined' => 'bad'][$o['state']] ?? 'todo' }}">{{ __(
                                        "register.states.{$o['state']}", ['place' => $o['place'], 'reason' => (string) $o[
                                        'reason']]) }}</span></span>
                            @if ($o['state'] !== 'declined')
                                <form method="post" action="{{ route('register.destroy', [$series, $o['id']]) }}">@csrf
                                    @method('delete')<button class="btn btn-plain">{{ __('register.take_back') }}<span
                                            class="visually-hidden">
                                        {{ $o['day'] }}</span></button></form>@else<span></span>
                            @endif
                        </li>
                    @endif
                @endforeach
            </ul>
            @if ($link)
                <a class="act main" href="{{ $link }}">{{ __('register.door') }}</a>
            @endif
        @endif
        @if ($canRegister)
            @if ($seatsLeft !== null)
                <p class="{{ $seatsLeft === 0 ? 'todo' : '' }}">
                    {{ trans_choice('register.seats', $seatsLeft) }}
                </p>
            @endif
            <form method="post" action="{{ route('register.store', $series) }}" class="mt-3">@csrf
                <label for="typed_name">{{ __('register.name') }}</label><input class="form-control mb-2" id="typed_name" name="typed_name"
                    maxlength="160" autocomplete="name" required value="{{ old('typed_name', $person->name()) }}"
                    @error('typed_name') aria-invalid="true" @enderror>
                @error('typed_name')
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
                <label for="typed_email">{{ __('register.email') }}</label><input class="form-control mb-2" id="typed_email"
                    name="typed_email" type="email" maxlength="160" autocomplete="email" required
                    value="{{ old('typed_email', $person->email) }}" @error('typed_email') aria-invalid="true" @enderror>
                @error('typed_email')
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
                @if ($each)
                    <fieldset class="mt-2">
                        <legend>{{ __('register.which') }}</legend>
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
                <p class="quiet mt-2 mb-0">{{ __('register.checked.' . ($registering->acceptsCertain ? 'now' : 'soon')) }}</p>
                <button class="act main">{{ __('register.go') }}</button>
            </form>
        @elseif (!$once && $shut)
            <p>{{ $shut }}</p>
            @error('name')
                <div class="fault" role="alert">{{ $message }}</div>
            @enderror
        @endif
        <dl class="helps">
            <dt>{{ __('register.next') }}</dt>
            <dd>
                @forelse ($when as $w)
                    {{ $w }}
                <br>@empty {{ __('register.none') }}
                @endforelse
            </dd>
            <dt>{{ __('register.zone') }}</dt>
            <dd>{{ $zone->place() }}</dd>
            @if ($left > 0)
                <dt>{{ __('register.left') }}</dt>
                <dd>{{ $left }}</dd>
                @endif @if ($registering)
                    <dt>{{ __('register.how') }}</dt>
                    <dd>{{ $registering->say() }}.</dd>
                @endif
        </dl>
    </div>
</x-app>
