@props(['page'])
<x-app :title="__('presence.today.title')">
    <div class="bar">
        <h1>{{ $page->isToday ? __('presence.today.title') : '' }} {{ Say::day($page->date) }}</h1>
        <div class="sum">{{ $page->closed ?? trans_choice('count.sessions', count($page->rows)) }} ·
            {{ __('week.zone', ['place' => $page->place]) }}
            @if ($page->open() > 0)
                · <b class="good">{{ trans_choice('presence.today.open', $page->open()) }}</b>,
                {{ trans_choice('presence.today.inside', $page->inside()) }}
            @endif
            @if ($page->requests > 0)
                · <a class="todo" href="{{ route('requests') }}">{{ trans_choice('board.needs.requests', $page->requests) }}</a>
            @endif
        </div>
        <nav class="end" aria-label="{{ __('presence.today.day') }}">
            <x-pill :to="route('today', ['date' => $page->date->plus(-1)->iso()])">‹ {{ Say::day($page->date->plus(-1)) }}</x-pill>
            @if (!$page->isToday)
                <x-pill :to="route('today')">{{ __('presence.today.title') }}</x-pill>
            @endif
            <x-pill :to="route('today', ['date' => $page->date->plus(1)->iso()])">{{ Say::day($page->date->plus(1)) }} ›</x-pill>
            @if ($page->mine !== [])
                @include('presence.start', ['sections' => $page->mine])
            @endif
        </nav>
    </div>
    @if ($page->next() !== null)
        @include('presence.today.next', ['row' => $page->next()])
    @endif
    @if ($page->rows === [])
        <x-empty :title="$page->closed ?? __('presence.today.none')">
            {{ __($page->closed === null ? 'presence.today.none_hint' : 'presence.today.closed') }}</x-empty>
    @else
        <table class="departures">
            <thead>
                <tr>
                    <th scope="col">{{ __('presence.today.time') }}</th>
                    <th scope="col">{{ __('presence.today.section') }}</th>
                    <th class="track" aria-hidden="true">
                        <svg class="day-track" width="100%" height="16">
                            @foreach ($page->hours as $hour)
                                <text x="{{ $hour['x'] }}%" y="12">{{ $hour['time'] }}</text>
                            @endforeach
                        </svg>
                    </th>
                    <th scope="col">{{ __('presence.today.state') }}</th>
                    <th scope="col"><span class="visually-hidden">{{ __('presence.today.act') }}</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows as $row)
                    @include('presence.today.row')
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
