@props(['page'])
<x-app :title="__('presence.records.title')">
    <x-page-head :title="__('presence.records.title')">
        <x-slot:sum>{{ $page->share() === null ? '' : __('presence.records.share', ['share' => $page->share()]) }}</x-slot:sum>
        @if ($page->toRelease() > 0)
            <b class="todo">{{ trans_choice('presence.records.to_release', $page->toRelease()) }}</b>
        @endif
        @if ($page->untold() > 0)
            <b class="todo">{{ trans_choice('presence.records.untold', $page->untold()) }}</b>
        @endif
        @if ($page->toRelease() + $page->untold() === 0)
            <span class="ok">{{ __('presence.records.all_done') }}</span>
        @endif
        <a class="pill" href="{{ route('missed') }}">{{ __('presence.records.missed') }}</a>
        @can('coordinate')
            @include('presence.records.rules')
        @endcan
    </x-page-head>
    @if ($page->sections === [])
        <x-empty :title="__('presence.records.none')">{{ __('presence.records.none_hint') }}</x-empty>
    @else
        @if ($page->day !== null)
            @include('presence.records.day')
        @endif
        @include('presence.records.sections')
    @endif
</x-app>
