@props(['page'])
<x-app :title="__('registration.desk.title')">
    <div class="bar">
        <h1>{{ __('registration.title') }}</h1>
        <div class="sum">
            <span @class(['todo' => $page->waiting > 0])>{{ trans_choice('registration.desk.waiting', $page->waiting) }}</span>
            @if ($page->queue !== null && $page->queue->safe > 0)
                · <span class="good">{{ trans_choice('registration.desk.certain', $page->queue->safe, ['n' => $page->queue->safe]) }}</span>
            @endif
        </div>
        @include('registration.tabs', ['at' => $page->show, 'waiting' => $page->waiting, 'queued' => $page->queued])
    </div>
    <x-faults class="fault" :of="['registration', 'reason', 'section']" />
    @include('registration.desk.' . $page->show, ['queue' => $page->queue])
    <x-slot:keys>
        <dt><kbd>↑</kbd> <kbd>↓</kbd></dt>
        <dd>{{ __('registration.keys.arrows') }}</dd>
        @foreach (['a', 'd', 's'] as $key)
            <dt><kbd>{{ $key }}</kbd></dt>
            <dd>{{ __("registration.keys.$key") }}</dd>
        @endforeach
    </x-slot:keys>
</x-app>
