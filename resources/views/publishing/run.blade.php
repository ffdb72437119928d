@props(['page'])
@push('head')
    @if ($page->state() === 'running' || $page->state() === 'later')
        <noscript>
            <meta http-equiv="refresh" content="3">
        </noscript>
    @endif
@endpush
<x-app :title="__($page->isOfLinks() ? 'run.links_title' : 'run.title')">
    <x-page-head :title="__($page->isOfLinks() ? 'run.links_head' : 'run.title')"
        :sum="__($page->run->starter === null ? 'run.begun' : 'run.begun_by', [
        'at' => $page->at,
        'place' => $page->place,
        'name' => $page->run->starter?->name(),
    ])">
        @if ($page->state() === 'halted')
            <x-act :to="route('run.go-on', $page->run)" :do="__('publishing.runs.go_on')" class="pill" />
        @elseif ($page->state() === 'running' || $page->run->scope !== null)
            <x-act :to="route('run.halt', $page->run)" class="pill"
                :do="__($page->run->scope !== null ? 'publishing.later.cancel' : 'publishing.runs.halt')" />
        @endif
        <x-pill :to="route('run.csv', $page->run)">{{ __('publishing.runs.csv') }}</x-pill>
        <x-pill :to="route('runs')">{{ __('run.past') }}</x-pill>
        <x-pill :to="route('board')">{{ __('board.title') }}</x-pill>
    </x-page-head>
    <div x-data="progress" data-url="{{ route('run.progress', $page->run) }}" id="progress">
        @include('publishing.run.progress')
    </div>
</x-app>
