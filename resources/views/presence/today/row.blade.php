{{-- One session of the day. row: TodayRow --}}
<tr @class(['is-over' => $row->isOver])>
    <td class="time">{{ $row->time }} <small class="quiet">–{{ $row->end }}</small></td>
    <td class="of"><a
            href="{{ $page->sections->to($row->of->section) }}?day={{ $page->date->iso() }}">{{ $row->of->name }}{{ $row->of->others === 0
                ? '' : ' ' . trans_choice('count.more', $row->of->others) }}</a><br><small>{{ $row->of->teacher }}</small>
    </td>
    <td class="track" aria-hidden="true">
        <svg class="day-track is-{{ $row->track->is }}" width="100%" height="{{ $row->track::ROW }}">
            @foreach ($page->hours as $hour)
                <line class="hour" x1="{{ $hour['x'] }}%" x2="{{ $hour['x'] }}%" y2="{{ $row->track::ROW }}" />
            @endforeach
            <line class="opens" x1="{{ $row->track->opens }}%" x2="{{ $row->track->start }}%" y1="{{ $row->track::MIDDLE }}"
                y2="{{ $row->track::MIDDLE }}" />
            <rect class="block" x="{{ $row->track->start }}%" y="{{ $row->track::TOP }}" width="{{ $row->track->width }}%"
                height="{{ $row->track::HEIGHT }}" />
            <rect class="fill" x="{{ $row->track->start }}%" y="{{ $row->track->fillTop() }}" width="{{ $row->track->width }}%"
                height="{{ $row->track->filled }}" />
            @if ($page->now !== null)
                <line class="now" x1="{{ $page->now }}%" x2="{{ $page->now }}%" y2="{{ $row->track::ROW }}" />
            @endif
        </svg>
    </td>
    <td class="state"><span class="{{ $row->now->tone() }}">{{ $row->now->words() }}</span><br><small>{{ $row->now->count() }}</small>
    </td>
    <td class="acts">
        @if ($row->isOver)
            <a class="btn btn-plain" href="{{ $page->attendance->to($row->of->section, $row->session) }}"
                aria-label="{{ __('attendance.student.page') }}: {{ $row->of->name }}, {{ $row->time }}">{{ __(
                    'attendance.student.page') }}</a>
        @elseif ($row->mayJoin)
            <a class="btn btn-plain" href="{{ $page->join->to($row->series) }}"
                aria-label="{{ __('presence.today.join_of', ['name' => $row->of->name, 'time' => $row->time]) }}">{{ __(
                    'presence.today.join') }}</a>
        @elseif ($row->isLive)
            <a class="btn btn-plain" href="{{ $page->live->to($row->session) }}"
                aria-label="{{ __('presence.today.live_of', ['name' => $row->of->name, 'time' => $row->time]) }}">{{ __(
                    'joining.live') }}</a>
        @endif
    </td>
</tr>
