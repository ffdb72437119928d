{{-- Where what is known comes from. page: SessionPage --}}
<x-card :title="__('presence.session.told')">
    @if ($page->events === 0)
        <p class="todo">{{ __('presence.session.untold') }}</p>
    @else
        <p>{{ $page->source === 'bridge'
            ? trans_choice('presence.session.from_bridge', $page->events)
            : ($page->source === 'list'
                ? trans_choice('presence.session.from_list', $page->events)
                : __('presence.session.from_both', ['count' => $page->events])) }}.
            {{ $page->endedAt === null ? '' : __('presence.session.ended', ['at' => $page->endedAt]) }}</p>
    @endif
    @can('serve', $page->section)
        <x-act :to="route('attendance.read', [$page->section, $page->session->id])" :do="__('presence.session.read')" />
        <p class="mt-2 mb-0"><a href="{{ route('presence-lists', $page->section) }}">{{ __('presence.session.or_list') }}</a></p>
    @endcan
</x-card>
