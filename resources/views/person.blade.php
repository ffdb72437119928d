<x-app :title="$who->name()">
    <div class="bar">
        <h1>{{ $who->name() }}</h1>
        <div class="sum">{{ $who->role->value }}{{ $who->year === '' ? '' : ", Year $who->year" }} · {{ $who->zone()->place() }} time, now
            {{ $who->zone()->clock($now) }} · {{ $who->email }}@if ($disabledSince)
                · <b class="bad">disabled since {{ $disabledSince }}</b>
            @endif
        </div>
        <a class="pill" href="{{ route('look', $who->sourced_id) }}">{{ __('publishing.look.link', ['name' => $who->given_name]) }}</a>
        @if ($isStudent)
            <a class="pill" href="{{ route('attendance.student', $who->sourced_id) }}">{{ __('attendance.student.page') }}</a>
        @endif
        @if ($mayDisable)
            @unless ($disabledSince)
                <form class="end" method="post" action="{{ route('person.invite', $who->sourced_id) }}">@csrf
                    <button class="btn btn-side">{{ __('account.people.invite_to') }}</button>
                </form>
            @endunless
            <form @class(['end' => $disabledSince]) method="post" action="{{ route('person.disabled', $who->sourced_id) }}">@csrf
                @if ($disabledSince)
                    @method('delete')
                @endif
                <button class="btn btn-side">{{ $disabledSince ? 'Enable again' : 'Disable' }}</button>
            </form>
        @endif
    </div>
    <x-account.hand-over />
    @error('person')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    <div class="columns mt-2">
        <section>
            <h2 class="mt-2">Coming sessions, on {{ $who->given_name }}'s clock</h2>
            <ul class="coming">
                @forelse ($coming as $c)
                    <li><span class="t">{{ $c['time'] }}–{{ $c['end'] }}<small
                                class="quiet">{{ $c['day'] }}</small></span><span class="n">{{ $c['name'] }}<small
                                class="quiet">{{ $c['teacher'] }}{{ $c['school'] ? " · {$c['school']}" : '' }}</small></span><span></span>
                </li>@empty<li><span class="quiet">None.</span></li>
                @endforelse
            </ul>
        </section>
        <section class="card-s">
            <h2>Sections</h2>
            <ul class="places">
                @forelse ($sections as $s)
                <li><b><a href="{{ route('section', $s) }}">{{ $s->name() }}</a></b></li>@empty<li class="quiet">None this term.
                    </li>
                @endforelse
            </ul>
            @if ($isStudent && auth()->user()->isCoordinator())
                <h2 class="mt-3">{{ __('recordings.consent.title') }}</h2>
                <form class="d-flex gap-2 align-items-center" method="post" action="{{ route('person.recorded', $who->sourced_id) }}">
                    @csrf
                    @method('put')
                    <select class="form-select w-auto" name="agreed" aria-label="{{ __('recordings.consent.title') }}">
                        @foreach (['yes' => true, 'no' => false, 'unknown' => null] as $word => $value)
                            <option value="{{ $word }}" @selected($who->may_be_recorded === $value)>
                                {{ __("recordings.consent.$word") }}</option>
                        @endforeach
                    </select>
                    <button class="btn btn-side">{{ __('recordings.consent.keep') }}</button>
                    @if ($who->recorded_said_on !== null)
                        <span
                            class="quiet">{{ __('recordings.consent.since', ['day' => Nomada\App\View\DateText::of(
                                $who->recorded_said_on)]) }}</span>
                    @endif
                </form>
            @endif
            <h2 class="mt-3">Calendar</h2>
            <p><a href="{{ route('person.calendar', $who->sourced_id) }}">As a file
                    (.ics)</a>{{ $busy > 0 ? ' · ' . $busy . ' busy times of their own' : '' }}</p>
            @if ($post)
                <p><a href="{{ $post }}">Your post</a></p>
            @endif
            @if ($feed)
                <p class="quiet mb-1">Your calendar at a secret address, with your own links: keep it to yourself.</p>
                <p><a class="mono" href="{{ $feed }}">{{ Str::limit($feed, 44) }}</a> <x-copy :text="$feed" /></p>
                @if ($busyFeed !== null)
                    <p><a href="{{ $busyFeed }}">{{ __('publishing.busy') }}</a></p>
                @endif
                <form method="post" action="{{ route('feed.renew') }}">@csrf<button class="btn btn-side">Give it a new address</button>
                </form>
            @endif
        </section>
    </div>
</x-app>
