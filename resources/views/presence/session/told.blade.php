{{-- Where what is known comes from. page: SessionPage --}}
<x-card :title="__('presence.session.told')">
    @if ($page->from->events === 0)
        <p class="todo">{{ __('presence.session.untold') }}</p>
    @else
        <p>{{ $page->from->source === 'bridge'
            ? trans_choice('presence.session.from_bridge', $page->from->events)
            : ($page->from->source === 'list'
                ? trans_choice('presence.session.from_list', $page->from->events)
                : __('presence.session.from_both', ['count' => $page->from->events])) }}.
            {{ $page->from->endedAt === null ? '' : __('presence.session.ended', ['at' => $page->from->endedAt]) }}</p>
    @endif
    @can('serve', $page->section)
        <x-act :to="route('attendance.read', [$page->section, $page->session->id])" :do="__('presence.session.read')" />
        <p class="mt-2 mb-0"><a href="{{ route('presence-lists', $page->section) }}">{{ __('presence.session.or_list') }}</a></p>
    @endcan
</x-card>
