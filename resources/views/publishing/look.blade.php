@props(['page', 'fault'])
<x-app :title="__('publishing.look.title', ['name' => $page->who->name()])">
    <x-page-head :title="__('publishing.look.title', ['name' => $page->who->name()])">
        <x-slot:sum>{{ __('publishing.look.sum', [
            'from' => $page->day($page->at) . ' ' . $page->clock($page->at),
            'place' => Say::place($page->zone()),
        ]) }}</x-slot:sum>
        @if ($page->wrong() > 0)
            <b class="bad">{{ trans_choice('publishing.look.wrong', $page->wrong()) }}</b>
        @elseif ($page->rows !== [])
            <b class="good">{{ __('publishing.look.all_same') }}</b>
        @endif
        @include('publishing.look.moment')
        <a class="pill" href="{{ route('person', $page->who->sourced_id) }}">{{ __('publishing.look.person') }}</a>
    </x-page-head>
    @if ($fault !== null)
        <p class="fault" role="alert">{{ $fault }}</p>
    @endif
    @if ($page->children !== [])
        @include('publishing.look.children')
    @elseif ($page->rows === [])
        <x-empty :title="__('publishing.look.none')">{{ __('publishing.look.none_hint') }}</x-empty>
    @else
        @include('publishing.look.rows')
    @endif
    @include('publishing.look.post')
</x-app>
