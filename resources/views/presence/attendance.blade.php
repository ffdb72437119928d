@props(['page'])
<x-app :title="__('presence.section.title', ['name' => $page->section->name()])">
    <x-page-head :title="$page->section->name()">
        <x-slot:sum>
            {{ trans_choice('presence.section.sessions', count($page->columns)) }}
            @if ($page->share() !== null)
                · {{ __('presence.section.share', ['share' => $page->share()]) }}
            @endif
            @if ($page->ahead !== [])
                · {{ trans_choice('presence.section.ahead', count($page->ahead)) }}
            @endif
        </x-slot:sum>
        @if ($page->untold > 0)
            <b class="todo">{{ trans_choice('presence.section.untold', $page->untold) }}</b>
        @endif
        <a class="pill" href="{{ route('section', $page->section) }}">{{ __('presence.section.timetable') }}</a>
        <a class="pill" href="{{ route('recordings.search', $page->section) }}">{{ __('presence.section.search') }}</a>
        @can('serve', $page->section)
            <a class="pill" href="{{ route('presence-lists', $page->section) }}">{{ __('presence.section.list') }}</a>
        @endcan
        <a class="pill" href="{{ route('attendance.export', [$page->section, 'csv']) }}">CSV</a>
        <a class="pill" href="{{ route('attendance.export', [$page->section, 'xlsx']) }}">XLSX</a>
        <a class="pill"
            href="{{ route('attendance.export', [$page->section, 'gradebook']) }}">{{ __('presence.section.gradebook') }}</a>
    </x-page-head>
    @if ($page->columns === [])
        <x-empty :title="__('presence.section.none')">{{ __('presence.section.none_hint') }}</x-empty>
    @elseif ($page->rows === [])
        <x-empty :title="__('presence.section.nobody')">{{ __('presence.section.nobody_hint') }}</x-empty>
    @else
        @include('presence.attendance.table')
        <p class="quiet small mt-2">{{ __('presence.section.legend') }}</p>
        @can('serve', $page->section)
            @include('presence.attendance.score')
            @include('presence.attendance.formula')
            <p class="mt-2">{{ __($page->section->releases_by_itself ? 'recordings.by_itself.on' : 'recordings.by_itself.off') }}
                <x-act :to="route('attendance.by-itself', $page->section)" method="put" class="btn-plain py-0"
                    :with="['on' => $page->section->releases_by_itself ? 0 : 1]"
                    :do="__($page->section->releases_by_itself ? 'recordings.by_itself.turn_off' : 'recordings.by_itself.turn_on')" />
            </p>
        @endcan
    @endif
</x-app>
