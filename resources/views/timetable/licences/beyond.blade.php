{{-- What no account, or not its own, can hold. rows: BeyondRow[] --}}
<x-card :title="__('licences.beyond.title')">
    <table class="table-plain">
        <thead>
            <tr>
                @foreach (['series', 'wrong', 'out'] as $column)
                    <th scope="col">{{ __("licences.beyond.$column") }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <td><a href="{{ route('section', $row->section) }}"><b>{{ $row->name }}</b></a><br>
                        <small>{{ $row->account ?? __('licences.beyond.no_account') }}</small>
                    </td>
                    <td><span class="todo"><x-joined :of="[
                        $row->isLong ? __('licences.beyond.long', ['n' => $row->minutes, 'most' => $row->most]) : '',
                        $row->isFull ? trans_choice('licences.beyond.full', $row->people) : '',
                    ]" /></span></td>
                    <td>@include('timetable.licences.ways-out')</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-faults class="fault" :of="['most', 'pause']" />
</x-card>
