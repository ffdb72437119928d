@props(['person'])
@php
    $name = (string) request()->route()?->getName();
    $here = explode('.', $name)[0];
    // Where somebody else has saved meanwhile, the page of a change is shown.
    $here =
        $name === 'series.update'
            ? 'timetable'
            : [
                    'session' => 'timetable',
                    'run' => 'publishing',
                    'showing' => 'publishing',
                    'places' => 'publishing',
                    'webhooks' => 'publishing',
                    'drift' => 'publishing',
                    'runs' => 'publishing',
                    'import' => 'term',
                    'board' => '',
                    'section' => 'timetable',
                    'desk' => 'registration',
                    'letters' => 'registration',
                    'series' => 'joining',
                    'live' => 'today',
                    'presets' => 'joining',
                    'drop-ins' => 'joining',
                    'drop-in' => 'today',
                    'audit' => 'joining',
                    'licences' => 'timetable',
                    'contact-time' => 'timetable',
                    'clashes' => 'timetable',
                    'events' => 'timetable',
                    'make-ups' => 'term',
                    'closures' => 'term',
                ][$here] ?? $here;
@endphp
<nav class="route" aria-label="The order of the work">
    <ol>
        @foreach (app(\Nomada\App\View\RouteView::class)->stops($person) as $stop)
            <li class="is-{{ $stop['state'] }}"><a href="{{ route($stop['name']) }}" data-stop="{{ $stop['name'] }}"
                    @if ($here === $stop['name']) aria-current="page" @endif>
                    <svg width="22" height="20" viewBox="0 0 22 20" aria-hidden="true">
                        <circle cx="11" cy="10" r="8"
                            class="{{ ['done' => 'dot', 'todo' => 'todo-dot', 'wrong' => 'wrong-dot'][$stop['state']] }}" />
                        @if ($stop['state'] === 'todo')
                            <path class="todo-half" d="M11 2a8 8 0 0 0 0 16z" />
                        @endif
                        @if ($stop['state'] === 'wrong')
                            <path class="wrong-x" d="M7.5 6.5l7 7m0-7l-7 7" />
                        @endif
                    </svg>
                    <b>{{ $stop['title'] }}</b><span>{{ $stop['words'] }}</span></a></li>
        @endforeach
    </ol>
</nav>
