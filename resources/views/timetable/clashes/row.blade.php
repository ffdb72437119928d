{{-- One folded clash. row: ClashRow --}}
<tr>
    <td class="{{ $row->tone() }} nowrap">{{ __("clashes.gravities.$row->gravity") }}</td>
    <td>{{ trans_choice("clashes.words.$row->kind", $row->people) }}
        @if ($row->reason)
            <br><small>{{ __($row->by ? 'clashes.accepted_by' : 'clashes.accepted', ['name' => $row->by, 'why' => $row->reason]) }}</small>
        @endif
    </td>
    <td>
        @foreach ($row->sections as $id => $name)
            <a href="{{ $page->sections->to($id) }}"><b>{{ $name }}</b></a>{{ $loop->last ? '' : ' ' . __('clashes.and') . ' ' }}
        @endforeach
    </td>
    <td>{{ $row->dates }} <small>({{ trans_choice('clashes.days', $row->days) }})</small></td>
    <td>
        @can('coordinate')
            @include('timetable.clashes.ways-out')
        @endcan
    </td>
</tr>
