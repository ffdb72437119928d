<nav class="end" aria-label="Registration">
    <a @class(['pill', 'on' => $at === 'desk']) href="{{ route('desk') }}">Queue{{ isset($waiting) ? " $waiting" : '' }}</a><a
        @class(['pill', 'on' => $at === 'list']) href="{{ route('desk', ['show' => 'list']) }}">Waiting
        list{{ isset($queued) ? " $queued" : '' }}</a><a @class(['pill', 'on' => $at === 'decided'])
        href="{{ route('desk', ['show' => 'decided']) }}">Decided</a><a @class(['pill', 'on' => $at === 'changes'])
        href="{{ route('desk', ['show' => 'changes']) }}">Roster changes</a><a @class(['pill', 'on' => $at === 'rosters'])
        href="{{ route('registration') }}">Rosters</a>
    @can('coordinate')
        <a @class(['pill', 'on' => $at === 'letters']) href="{{ route('letters') }}">Letters</a>
    @endcan
</nav>
