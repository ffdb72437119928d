@props(['page'])
<x-app :title="__('publishing.drift.title')">
    <x-page-head :title="__('publishing.drift.title')">
        <x-slot:sum>
            @if ($page->lookedAt === null && $page->all === 0)
                {{ __('publishing.drift.never') }}
            @else
                {{ trans_choice('publishing.drift.sum', $page->all) }} ·
                {{ $page->lookedAt === null ? __('publishing.drift.never') : __('publishing.drift.looked', ['when' => $page->when()]) }}
            @endif
            @if ($page->silent > 0)
                · <b class="bad">{{ trans_choice('publishing.drift.silent', $page->silent) }}</b>
            @endif
        </x-slot:sum>
        <x-act :to="route('drift.look')" :do="__('publishing.drift.look')" class="pill" />
        <a class="pill" href="{{ route('publishing') }}">{{ __('publishing.places.plan') }}</a>
    </x-page-head>
    @if ($page->rows === [])
        <x-empty :title="__($page->lookedAt === null ? 'publishing.drift.unchecked' : 'publishing.drift.none')">{{
            __('publishing.drift.none_hint') }}</x-empty>
    @else
        @include('publishing.drift.rows', ['rows' => $page->rows, 'all' => $page->all])
    @endif
    @includeWhen($page->added !== [], 'publishing.drift.added', ['rows' => $page->added])
    @includeWhen($page->alone !== [], 'publishing.drift.alone', ['rows' => $page->alone])
</x-app>
