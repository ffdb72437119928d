@props(['page'])
<x-app :title="$page->section->name() . ', ' . Say::day($page->held->day)">
    <x-page-head :title="$page->section->name()">
        <x-slot:sum>{{ Say::day($page->held->day) }},
            {{ $page->from->zone->clock($page->held->start) }}–{{ $page->from->zone->clock($page->held->planned) }}
            {{ $page->held->topic === '' ? '' : '· ' . $page->held->topic }}</x-slot:sum>
        @if ($page->beside->before !== null)
            <a class="pill" href="{{ route('attendance.session', [$page->section, $page->beside->before]) }}"
                aria-label="{{ __('pagination.previous') }}">‹</a>
        @endif
        @if ($page->beside->after !== null)
            <a class="pill" href="{{ route('attendance.session', [$page->section, $page->beside->after]) }}"
                aria-label="{{ __('pagination.next') }}">›</a>
        @endif
        <a class="pill" href="{{ route('attendance', $page->section) }}">{{ __('presence.session.back') }}</a>
    </x-page-head>
    <div class="columns">
        <section>
            @include('presence.session.drawing')
        </section>
        <div>
            @include('presence.session.told')
            @include('presence.session.beside')
        </div>
    </div>
</x-app>
