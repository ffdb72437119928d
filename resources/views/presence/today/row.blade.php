{{-- One session of the day. row: TodayRow --}}
<tr @class(['is-over' => $row->isOver])>
    <td class="time">{{ $row->time }} <small class="quiet">–{{ $row->end }}</small></td>
    <td><a
            href="{{ $page->sections->to($row->sectionId) }}?day={{ $page->date->iso() }}">{{ $row->name }}{{ $row->others === 0 ? '' : ' '
                . trans_choice('count.more', $row->others) }}</a>
    </td>
    <td>{{ $row->teacher }}</td>
    <td class="{{ $row->doors->tone() }}">{{ __("presence.today.states.{$row->doors->value}", ['said' => $row->said]) }}</td>
    <td>{{ $row->registered }}</td>
    <td>{{ $row->inside }}</td>
    <td>
        @if ($row->isOver)
            <a href="{{ $page->attendance->to($row->sectionId, $row->session) }}"
                aria-label="{{ __('attendance.student.page') }}: {{ $row->name }}, {{ $row->time }}">{{ __('attendance.student.page') }}</a>
        @elseif ($row->isLive)
            <a href="{{ $page->live->to($row->session) }}"
                aria-label="{{ __('presence.today.live_of', ['name' => $row->name, 'time' => $row->time]) }}">{{ __('joining.live') }}</a>
        @endif
    </td>
</tr>
