@props(['page'])
<x-app :title="__('own_hours.title')">
    <x-page-head :title="__('own_hours.title')"
        :sum="trans_choice('own_hours.sum', $page->students, ['opens' => $page->opens, 'closes' => $page->closes])">
        <x-pill :to="route('fix', 'fix')">{{ __('own_hours.fix') }}</x-pill>
        <x-timetable-more />
    </x-page-head>
    @if ($page->rows === [])
        <x-empty
            :title="__('own_hours.none')">{{ __('own_hours.none_hint', ['opens' => $page->opens, 'closes' => $page->closes]) }}</x-empty>
    @else
        <div class="wide" tabindex="0" role="region" aria-label="{{ __('own_hours.title') }}">
            <table class="table-plain">
                <thead>
                    <tr>
                        @foreach (__('own_hours.columns') as $words)
                            <th scope="col">{{ $words }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->rows as $row)
                        <tr>
                            <td><a href="{{ route('section', $row->code) }}">{{ $row->name }}</a><br><small>{{ $row->when }}</small>
                            </td>
                            <td>{{ $row->place }}</td>
                            <td>
                                @foreach ($row->times as $time => $n)
                                    <b class="todo">{{ $time }}</b> <small>{{ trans_choice('own_hours.sessions', $n) }}</small><br>
                                @endforeach
                            </td>
                            <td>{{ implode(', ', $row->students) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
</x-app>
