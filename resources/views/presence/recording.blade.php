@props(['page'])
<x-app :title="__('recordings.title', ['name' => $page->name])">
    <x-page-head :title="$page->name">
        <x-slot:sum>{{ Say::day($page->day) }} {{ $page->topic === '' ? '' : '· ' . $page->topic }}</x-slot:sum>
        <span @class([
            'ok' => $page->recording->state->value === 'released',
            'quiet' => true,
        ])>
            {{ $page->serves ? __('recordings.states.' . $page->recording->state->value) : '' }}</span>
        <a class="pill" href="{{ route('recordings.search', $page->section) }}">{{ __('presence.section.search') }}</a>
    </x-page-head>
    <div x-data="player" data-place="{{ $page->place }}" data-to="{{ route('recording.place', $page->recording->id) }}"
        data-token="{{ csrf_token() }}">
        <div class="columns">
            <section>
                @include('presence.recording.player')
                @include('presence.recording.transcript')
            </section>
            <div>
                @include('presence.recording.parts')
                @if ($page->serves)
                    @include('presence.recording.release')
                @endif
            </div>
        </div>
    </div>
</x-app>
