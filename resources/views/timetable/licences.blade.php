@props(['page'])
<x-app :title="__('licences.title')">
    <div class="bar">
        <h1>{{ __('licences.title') }}</h1>
        <div class="sum">@include('timetable.licences.sum', ['load' => $page->load])</div>
        <nav class="end" aria-label="{{ __('licences.show') }}">
            <x-pill :to="route('clashes', ['show' => 'account'])">{{ __('licences.account_clashes') }}</x-pill>
            <x-pill :to="route('timetable')">{{ __('licences.week') }}</x-pill>
        </nav>
    </div>
    @if ($page->load === null)
        <div class="empty" role="status" x-data="comeback">
            <h2>{{ trans_choice('licences.working', $page->sessions) }}</h2>{{ __('licences.working_hint') }}
            <a href="{{ route('licences') }}">{{ __('licences.again') }}</a>
        </div>
    @elseif ($page->load->series === 0)
        <x-empty :title="__('licences.none')">{{ __('licences.none_hint') }}</x-empty>
    @else
        @include('timetable.licences.curve', ['curve' => $page->load->curve])
    @endif
    <div class="columns mt-2">
        <div>
            @if ($page->load !== null && $page->load->accounts === [])
                <x-empty :title="__('licences.no_account')">{{ __('licences.no_account_hint') }}</x-empty>
            @elseif ($page->load !== null)
                @include('timetable.licences.accounts', ['load' => $page->load])
                @if ($page->load->beyond !== [])
                    @include('timetable.licences.beyond', ['rows' => $page->load->beyond])
                @endif
            @endif
        </div>
        <div>
            @if ($page->load !== null && $page->load->whatIf !== [])
                @include('timetable.licences.what-if', ['rows' => $page->load->whatIf])
            @endif
            @include('timetable.licences.plans')
            @if ($page->plans !== [])
                @include('timetable.licences.add')
            @endif
        </div>
    </div>
</x-app>
