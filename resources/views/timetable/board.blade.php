@php
    use Nomada\App\Support\Words;
    $scale = $line->scale();
@endphp
<x-app title="Every section">
    <div class="bar">
        <h1>Every section</h1>
        <div class="sum">{{ Words::count($totals['sections'], 'section') }} · {{ Words::count($totals['sessions'], 'session') }} ·
            {{ Words::count($totals['closures'], 'closure') }} · <span
                @class(['bad' => $totals['snags'] > 0])>{{ Words::count($totals['snags'], 'snag') }}</span></div>
        <nav class="end" aria-label="Show">
            <a @class(['pill', 'on' => $show === '' && $year === '']) href="{{ route('board') }}">All years</a>
            @foreach ($years as $y)
                <a @class(['pill', 'on' => $year === $y])
                    href="{{ route('board', array_filter(['year' => $y, 'show' => $show])) }}">Y{{ $y }}</a>
            @endforeach
            <a @class(['pill', 'on' => $show === 'snags']) href="{{ route('board', array_filter(['show' => 'snags', 'year' =>
                $year])) }}">Has snags
                {{ $totals['snags'] }}</a>
            <a @class(['pill', 'on' => $show === 'unpublished']) href="{{ route('board', array_filter(['show' => 'unpublished', 'year' =>
                $year])) }}">Not
                published {{ $totals['unpublished'] }}</a>
        </nav>
    </div>
    <form method="post" action="{{ route('publishing.choose') }}" x-data="board" data-left="{{ $scale['left'] }}"
        data-week="{{ $scale['week'] }}" data-monday="{{ $scale['monday'] }}" data-rows="{{ route('board.rows') }}">
        @csrf
        <table class="board">
            <colgroup>
                <col class="c-pick">
                <col class="c-section">
                <col class="c-line">
                <col class="c-link">
                <col class="c-reg">
                <col class="c-place">
                <col class="c-place">
                <col class="c-place">
                <col>
            </colgroup>
            <thead>
                <tr>
                    <th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll"
                            aria-label="Choose all sections"></th>
                    <th scope="col">Section</th>
                    <th scope="col"><svg class="line" width="{{ $line->width }}" height="20" role="img"
                            aria-label="Weeks of the term">
                            @foreach ($line->labels() as $label)
                                <text x="{{ $label['x'] }}" y="16">{{ $label['text'] }}</text>
                            @endforeach
                        </svg>
                    </th>
                    <th scope="col">Link</th>
                    <th scope="col">Registered</th>
                    <th scope="col">Page</th>
                    <th scope="col">Calendar</th>
                    <th scope="col">Stream</th>
                    <th scope="col">Snags</th>
                </tr>
            </thead>
            <tbody>
                @forelse ($groups as $of => $rows)
                    <tr>
                        <th class="group" colspan="9" scope="rowgroup">{{ $of === '' ? 'Without a year' : "Year $of" }} ·
                            {{ Words::count(count($rows), 'section') }}</th>
                    </tr>
                    @foreach ($rows as $row)
                        @include($whole[$row->id] ?? false ? 'timetable.board.row' : 'timetable.board.stub', [
                            'first' => $loop->first && $loop->parent->first,
                        ])
                    @endforeach
                @empty
                    <tr>
                        <td colspan="9">
                            <div class="empty">
                                <h2>No section here</h2>
                                {{ $totals['sections'] === 0 ? 'You have no section in this term yet.'
                                    : 'No section matches this filter.' }}
                            </div>
                        </td>
                    </tr>
                @endforelse
            </tbody>
        </table>
        <div class="visually-hidden" aria-live="polite" x-ref="told"></div>
        <x-legend />
        <div class="tray" role="region" aria-label="What to do with the chosen sections">
            <b x-text="words()">Chosen sections</b><span class="names" x-text="names"></span>
            <button class="btn btn-side" type="button" x-on:click="clear">None</button>
            <button class="btn btn-side" formaction="{{ route('links.store') }}">Make links</button>
            <button class="btn btn-side" formaction="{{ route('rosters.store') }}">Register roster</button>
            <button class="btn btn-main">Preview publishing…</button>
        </div>
    </form>
    <x-slot:keys>
        <dt><kbd>↑</kbd> <kbd>↓</kbd></dt>
        <dd>from section to section</dd>
        <dt><kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>from session to session on its line</dd>
        <dt><kbd>Space</kbd></dt>
        <dd>choose the section; with <kbd>Shift</kbd> and arrows, several</dd>
        <dt><kbd>Enter</kbd></dt>
        <dd>open the section, or the session</dd>
    </x-slot:keys>
</x-app>
