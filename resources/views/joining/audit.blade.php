@props(['page'])
<x-app :title="__('joining.audit.title')">
    <x-page-head :title="__('joining.audit.title')">
        <x-slot:sum>{{ trans_choice('joining.audit.open', count($page->open)) }} ·
            {{ trans_choice('joining.audit.changes', $page->count) }}</x-slot:sum>
        @foreach (__('joining.audit.kinds') as $kind => $words)
            <x-pill :to="route('audit', $page->with($kind))" :on="$page->kind === $kind">{{ $words }}</x-pill>
        @endforeach
        <x-pill :to="route('audit.export', $page->with())">{{ __('joining.audit.csv') }}</x-pill>
        <x-pill :to="route('joining')">{{ __('joining.title') }}</x-pill>
    </x-page-head>
    @if ($page->open !== [])
        @include('joining.audit.open')
    @endif
    <form class="inline my-2" method="get" action="{{ route('audit') }}">
        <input type="hidden" name="kind" value="{{ $page->kind }}">
        <input class="form-control w-auto" name="q" value="{{ $page->search }}" aria-label="{{ __('joining.audit.words') }}"
            placeholder="{{ __('joining.audit.words') }}">
        <button class="btn btn-side">{{ __('joining.audit.filter') }}</button>
    </form>
    @if ($page->lines === [])
        <x-empty :title="__('joining.audit.none')">{{ __('joining.audit.none_hint') }}</x-empty>
    @else
        @include('joining.audit.lines')
        <x-pages class="d-block mt-2" :page="$page->page" :pages="$page->pages" :before="route('audit', $page->with(page: $page->page - 1))"
            :next="route('audit', $page->with(page: $page->page + 1))" />
    @endif
</x-app>
