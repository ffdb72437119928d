@props(['page'])
<x-app :title="__('term.make_ups.title')">
    <x-page-head :title="__('term.make_ups.title')" :sum="trans_choice('term.make_ups.sum', $page->count)">
        <a @class(['pill', 'on' => $page->reason === '']) href="{{ route('make-ups') }}">{{ __('term.make_ups.all') }}</a>
        @foreach ($page->reasons as $reason)
            <a @class(['pill', 'on' => $page->reason === $reason]) href="{{ route('make-ups', ['reason' => $reason]) }}">{{
                Say::because($reason) }}</a>
        @endforeach
    </x-page-head>
    @if ($page->rows === [])
        <x-empty :title="__('term.make_ups.none')">{{ __('term.make_ups.none_hint') }}</x-empty>
    @else
        <form method="post" action="{{ route('make-ups.store') }}">@csrf
            <input type="hidden" name="reason" value="{{ $page->reason }}">
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
            <div class="mt-3 d-flex gap-2 align-items-center">
                <button class="btn btn-main">{{ __('term.make_ups.do') }}</button>
                <a class="btn btn-side" href="{{ route('term') }}">{{ __('term.make_ups.leave') }}</a>
                <x-pages class="ms-auto" :page="$page->page" :pages="$page->pages" :before="route('make-ups', $page->at($page->page - 1))"
                    :next="route('make-ups', $page->at($page->page + 1))" />
            </div>
            <x-faults class="fault" :of="['take']" />
        </form>
    @endif
</x-app>
