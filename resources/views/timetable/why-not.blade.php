@props(['page'])
<x-app :title="__('fix.why.title')">
    <x-page-head :title="__('fix.why.title')" :sum="__('fix.why.sum')">
        <x-pill :to="route('fix', 'fix')">{{ __('fix.fix.title') }}</x-pill>
        <x-pill :to="route('fix', 'place')">{{ __('fix.place.title') }}</x-pill>
    </x-page-head>
    <x-faults class="fault" :of="['series', 'weekdays', 'start']" />
    <form class="card-s" method="get" action="{{ route('why-not') }}">
        <div class="fix-question">
            <label for="series">{{ __('fix.why.series') }}</label>
            <select class="form-select" id="series" name="series">
                <option value=""></option>
                @foreach ($page->series as $number => $name)
                    <option value="{{ $number }}" @selected($page->chosen === $number)>{{ $name }}</option>
                @endforeach
            </select>
            <span id="on">{{ __('fix.why.days') }}</span>
            <span role="group" aria-labelledby="on" class="d-flex flex-wrap gap-3">
                @foreach ($page->weekdays as $weekday => $name)
                    <label><input class="form-check-input" type="checkbox" name="weekdays[]" value="{{ $weekday }}"
                            @checked(in_array($weekday, $page->on, true))> {{ $name }}</label>
                @endforeach
            </span>
            <label for="start">{{ __('fix.why.start') }}</label>
            <input class="form-control time" id="start" name="start" value="{{ $page->start }}" placeholder="09:15"
                autocomplete="off">
        </div>
        <button class="btn btn-main mt-2">{{ __('fix.why.ask') }}</button>
    </form>
    @if ($page->fault !== '')
        <p class="fault mt-2" role="alert">{{ $page->fault }}</p>
    @elseif ($page->when !== '')
        <div role="status" class="mt-3">
            <h2 class="{{ $page->obstacles === [] ? 'good' : 'todo' }}">{{ $page->verdict() }}</h2>
            @if ($page->toPlace !== null)
                <form method="post" action="{{ route('to-place.place', [$page->toPlace->section, $page->toPlace->id]) }}">@csrf
                    @foreach ($page->on as $weekday)
                        <input type="hidden" name="weekdays[]" value="{{ $weekday }}">
                    @endforeach
                    <input type="hidden" name="start" value="{{ $page->start }}">
                    <button class="btn btn-side">{{ __($page->obstacles === [] ? 'fix.why.put' : 'fix.why.put_anyway') }}</button>
                </form>
            @endif
            @if ($page->obstacles !== [])
                <h3>{{ __('fix.why.obstacles') }}</h3>
                <ul>
                    @foreach ($page->obstacles as $words)
                        <li class="bad">{{ $words }}</li>
                    @endforeach
                </ul>
            @endif
            @if ($page->chain !== null && $page->chain !== [])
                <h3>{{ __('fix.why.first') }}</h3>
                <ol class="fix-moves">
                    @foreach ($page->chain as $move)
                        <li><b><a href="{{ route('section', $move->section) }}">{{ $move->name }}</a></b>
                            <del>{{ $move->was }}</del> <b class="good">{{ $move->becomes }}</b>
                        </li>
                    @endforeach
                </ol>
            @endif
        </div>
    @endif
</x-app>
