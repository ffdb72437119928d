{{-- One section's sums of the term. row: SectionRecord; page: Records or SectionRows --}}
<tr data-row="{{ $row->id }}">
    <td><a href="{{ $page->attendance->to($row->id) }}"><b>{{ $row->name }}</b></a></td>
    @foreach ([$row->time->planned, $row->time->held, $row->time->lost, $row->time->madeUp] as $minutes)
        <td class="num">{{ $minutes === 0 ? '' : Words::minutes($minutes) }}</td>
    @endforeach
    <td class="num">{{ $row->share() === null ? '' : $row->share() . ' %' }}</td>
    <td class="num">{{ $row->absent ?: '' }}</td>
    <td>
        @if ($row->toRelease > 0)
            <span class="todo">{{ trans_choice('presence.records.to_release', $row->toRelease) }}</span>
        @endif
        @if ($row->untold() > 0)
            <span class="todo">{{ trans_choice('presence.records.untold', $row->untold()) }}</span>
        @endif
    </td>
</tr>
