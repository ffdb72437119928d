@props(['page'])
<x-app :title="__('term.make_ups.title')">
    <x-page-head :title="__('term.make_ups.title')" :sum="trans_choice('term.make_ups.sum', $page->count)">
        <a @class(['pill', 'on' => $page->reason === '']) href="{{ route('make-ups') }}">{{ __('term.make_ups.all') }}</a>
        @foreach ($page->reasons as $reason)
            <a @class(['pill', 'on' => $page->reason === $reason]) href="{{ route('make-ups', ['reason' => $reason]) }}">{{
                Say::because($reason) }}</a>
        @endforeach
    </x-page-head>
    @if ($page->rows === null)
        <div class="empty" role="status" x-data="comeback">
            <h2>{{ trans_choice('term.make_ups.working', $page->listed) }}</h2>
            {{ trans_choice('term.make_ups.done', $page->done) }} {{ __('term.make_ups.working_hint') }}
            <a href="{{ route('make-ups', array_filter(['reason' => $page->reason])) }}">{{ __('term.make_ups.refresh') }}</a>
        </div>
    @elseif ($page->rows === [])
        <x-empty :title="__('term.make_ups.none')">{{ __('term.make_ups.none_hint') }}</x-empty>
    @else
        <form method="post" action="{{ route('make-ups.store') }}" x-data="makeUps">@csrf
            <input type="hidden" name="reason" value="{{ $page->reason }}">
            <div class="act-bar">
                <button class="btn btn-main">{{ __('term.make_ups.do') }}</button>
                <span class="sum" aria-live="polite" x-ref="chosen" data-words="{{ __('term.make_ups.chosen') }}"
                    data-of="{{ $page->listed }}"
                    __('term.make_ups.chosen', ['n' => $page->chosen, 'of' => $page->listed]) }}</span>
                @if ($page->listed < $page->count)
                    <span class="quiet">{{ __('term.make_ups.first', ['n' => $page->listed, 'all' => $page->count]) }}</span>
                @endif
            </div>
            <x-faults class="fault" :of="['take']" />
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">{{ __('term.make_ups.lost') }}</th>
                        <th scope="col">{{ __('term.make_ups.section') }}</th>
                        <th scope="col">{{ __('term.make_ups.best', ['place' => $page->place]) }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->rows as $row)
                        @include('term.make-ups.row')
                    @endforeach
                </tbody>
            </table>
        </form>
    @endif
</x-app>
