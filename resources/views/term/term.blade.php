@props(['page'])
<x-app :title="__('term.title')">
    <x-page-head :title="$page->title">
        <x-slot:sum>{{ __('term.sum', [
            'first' => Say::day($page->calendar->first),
            'last' => Say::day($page->calendar->last),
            'days' => trans_choice('term.school_days', $page->openDays),
            'weeks' => trans_choice('term.weeks', $page->calendar->weeks()),
            'zone' => $page->calendar->zone->name,
        ]) }}</x-slot:sum>
        @if (count($page->terms) > 1)
            @include('term.term.choose')
        @endif
        @if ($page->mayChange)
            <a class="btn btn-side" href="{{ route('import') }}">{{ __('term.import') }}</a>
            <a class="btn btn-side" href="{{ route('roster') }}">{{ __('publishing.roster') }}</a>
        @endif
    </x-page-head>
    @if (session('look'))
        <p class="warn" role="status">{{ session('look') }} {{ __('term.not_saved') }}</p>
    @endif
    @if ($page->closures->closing !== null)
        @include('term.closing', ['look' => $page->closures->closing])
    @endif
    <div class="columns mt-2">
        <div x-data="closing">
            @include('term.term.weeks')
            @include('term.term.legend')
        </div>
        <div>
            @if ($page->mayChange)
                @include('term.term.close')
            @endif
            @include('term.term.closed')
            @include('term.history', ['history' => $page->history, 'may' => $page->mayChange])
            @include('term.term.plans')
            @include('term.term.rotation')
            @include('term.term.open')
            @if ($page->mayChange)
                @include('term.term.terms')
            @endif
        </div>
    </div>
</x-app>
