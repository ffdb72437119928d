@props(['page'])
<x-app :title="__('clashes.title')">
    <div class="bar">
        <h1>{{ __('clashes.title') }}</h1>
        <div class="sum">
            {{ $page->open() === 0
                ? __('clashes.sum_none')
                : trans_choice('clashes.sum', $page->grave) . ', ' . trans_choice('clashes.advice', $page->advice) }}
        </div>
        <nav class="end" aria-label="{{ __('clashes.show') }}">
            <x-pill :to="route('clashes')" :on="$page->show === ''" :n="$page->open()">{{ __('clashes.all') }}</x-pill>
            @foreach ($page->kinds as $kind => $n)
                <x-pill :to="route('clashes', ['show' => $kind])" :on="$page->show === $kind" :n="$n">{{ __(
                    "clashes.kinds.$kind") }}</x-pill>
            @endforeach
            @can('coordinate')
                <x-pill :to="route('fix', 'fix')">{{ __('fix.link') }}</x-pill>
            @endcan
            <x-pill :to="route('timetable')">{{ __('licences.week') }}</x-pill>
        </nav>
    </div>
    <x-faults class="fault" :of="['reason']" />
    @if ($page->rows === [] && $page->show === 'accepted')
        <x-empty :title="__('clashes.none_accepted')">{{ __('clashes.none_accepted_hint') }}</x-empty>
    @elseif ($page->rows === [])
        <x-empty :title="__('clashes.none')">{{ __('clashes.none_hint') }}</x-empty>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    @foreach (__('clashes.columns') as $words)
                        <th scope="col">{{ $words }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($page->rows as $row)
                    @include('timetable.clashes.row')
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
