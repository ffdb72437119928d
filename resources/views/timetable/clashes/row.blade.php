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
            <div class="clash-bar"><a href="{{ $page->sections->to($id) }}"><b>{{ $name }}</b></a>
                @if (count($row->sections) > 1 && isset($row->bars->bars[$loop->index]))
                    <svg width="100%" height="22" role="img" aria-label="{{ $row->bars->bars[$loop->index]['times'] }}">
                        <rect class="block" x="{{ $row->bars->bars[$loop->index]['x'] }}%" y="2"
                            width="{{ $row->bars->bars[$loop->index]['width'] }}%" height="18" />
                        @if ($row->bars->shared !== null)
                            <rect class="shared" x="{{ $row->bars->shared['x'] }}%" y="2" width="{{ $row->bars->shared['width'] }}%"
                                height="18" />
                        @endif
                    </svg><small>{{ $row->bars->bars[$loop->index]['times'] }}</small>
                @endif
            </div>
        @endforeach
    </td>
    <td>{{ $row->dates }} <small>({{ trans_choice('clashes.days', $row->days) }})</small></td>
    <td>
        @can('coordinate')
            @include('timetable.clashes.ways-out')
        @endcan
    </td>
</tr>
