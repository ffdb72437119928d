@props(['page'])
<x-app :title="__('board.title')">
    <div class="bar">
        <h1>{{ __('board.title') }}</h1>
        <div class="sum">{{ trans_choice('count.sections', $page->totals->sections) }} ·
            {{ trans_choice('board.sessions', $page->totals->sessions, ['n' => number_format($page->totals->sessions)]) }} ·
            <a href="{{ route('term') }}">{{ trans_choice('board.closures', $page->totals->closures) }}</a> ·
            <a href="{{ route('board', ['show' => 'issues']) }}"
                @class(['bad' => $page->sectionsWithIssues() > 0])>{{ trans_choice('board.issues', $page->sectionsWithIssues()) }}</a>
        </div>
        @include('timetable.board.filters')
    </div>
    @if ($page->setUp !== [])
        <section class="needs" aria-labelledby="set-up">
            <h2 id="set-up">{{ __('setup.sum') }}</h2>
            <x-act :to="route('set-up.hide')" class="btn-plain" :do="__('setup.hide')" />
            @include('term.set-up-steps', ['steps' => $page->setUp])
        </section>
    @endif
    @if ($page->needs !== [])
        @include('timetable.board.needs')
    @endif
    <form method="post" action="{{ route('publishing.choose') }}" x-data="board" data-left="{{ $page->line->scale()['left'] }}"
        data-week="{{ $page->line->scale()['week'] }}" data-monday="{{ $page->line->scale()['monday'] }}"
        data-rows="{{ route('board.rows') }}">
        @csrf
        <table class="board">
            @include('timetable.board.head')
            <tbody>
                @forelse ($page->groups as $year => $rows)
                    <tr>
                        <th class="group" colspan="9" scope="rowgroup">
                            {{ $year === ''
                                ? __('board.no_year')
                                : __('section.people.year', [
                                    'year' => $year,
                                ]) }}
                            · {{ trans_choice('count.sections', count($rows)) }}</th>
                    </tr>
                    @foreach ($page->whole($rows) as $row)
                        @include('timetable.board.row', ['first' => $loop->first && $loop->parent->first])
                    @endforeach
                    @include('stubs', ['stubs' => $page->stubs($rows)])
                @empty
                    <tr>
                        <td colspan="9">
                            <x-empty
                                :title="__('board.none')">{{ __($page->totals->sections === 0 ? 'board.none_yet'
                                    : 'board.none_here') }}</x-empty>
                        </td>
                    </tr>
                @endforelse
            </tbody>
        </table>
        <div class="visually-hidden" aria-live="polite" x-ref="told"></div>
        <x-legend />
        <x-tray :label="__('board.tray')">
            <button class="btn btn-side" formaction="{{ route('links.store') }}">{{ __('board.links') }}</button>
            <button class="btn btn-side" formaction="{{ route('rosters.store') }}">{{ __('section.registration.do') }}</button>
            <button class="btn btn-main">{{ __('section.publishing.preview') }}</button>
        </x-tray>
    </form>
    <x-slot:keys>
        <dt><kbd>↑</kbd> <kbd>↓</kbd></dt>
        <dd>{{ __('board.keys.rows') }}</dd>
        <dt><kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>{{ __('board.keys.stops') }}</dd>
        <dt><kbd>{{ __('frame.keys.space') }}</kbd></dt>
        <dd>{{ __('board.keys.choose') }}</dd>
        <dt><kbd>{{ __('frame.keys.enter') }}</kbd></dt>
        <dd>{{ __('board.keys.open') }}</dd>
    </x-slot:keys>
</x-app>
