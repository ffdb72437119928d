@props(['page'])
<x-app :title="__('presence.today.title')">
    <div class="bar">
        <h1>{{ $page->isToday ? __('presence.today.title') : '' }} {{ Say::day($page->date) }}</h1>
        <div class="sum">{{ $page->closed ?? trans_choice('count.sessions', count($page->rows)) }} ·
            {{ __('week.zone', ['place' => $page->place]) }}</div>
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
    @if ($page->rows === [])
        <x-empty :title="$page->closed ?? __('presence.today.none')">
            {{ __($page->closed === null ? 'presence.today.none_hint' : 'presence.today.closed') }}</x-empty>
    @else
        <table class="departures">
            <thead>
                <tr>
                    @foreach (['time', 'section', 'teacher', 'doors', 'registered', 'inside'] as $column)
                        <th scope="col">{{ __("presence.today.$column") }}</th>
                    @endforeach
                    <th scope="col"><span class="visually-hidden">{{ __('presence.today.live') }}</span></th>
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
