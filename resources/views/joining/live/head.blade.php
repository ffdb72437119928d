{{-- What the whole desk is about, and the acts that are for everybody. page: DeskPage --}}
<x-page-head :title="$page->live->name">
    <x-slot:sum>{{ Say::day($page->live->zone->dateAt($page->live->start)) }},
        {{ $page->live->zone->clock($page->live->start) }}–{{ $page->live->zone->clock($page->live->end) }}</x-slot:sum>
    @if ($page->mayEnter && !$page->isHere && $page->room['state'] !== 'over' && !$page->live->isRehearsal)
        <x-live.act :live="$page->live" act="come-in" class="btn-main" :do="__('live.come_in')" />
    @endif
    @if ($page->mayEnter && $page->live->hostLink)
        <a class="btn btn-plain py-0" href="{{ $page->live->hostLink }}">{{ __('live.own_window') }}</a>
    @endif
    @if ($page->live->other)
        <a class="btn btn-side py-0" href="{{ $page->live->other }}">{{ __($page->live->isRehearsal ? 'live.real' : 'live.rehearse') }}</a>
    @endif
</x-page-head>
