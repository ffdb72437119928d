{{-- One student. row: PupilRow; page: SectionPage --}}
<tr>
    <th scope="row"><a href="{{ route('attendance.student', $row->pupil->sourcedId) }}">{{ $row->pupil->name }}</a>
        @if ($row->isIssue())
            <b class="bad small">{{ trans_choice('presence.section.running', $row->running) }}</b>
        @endif
    </th>
    @foreach ($row->cells as $cell)
        @if ($cell === null)
            <td></td>
        @else
            <td @class([
                's-' . $cell->status()->value,
                'corrected' => $cell->correction !== null,
            ])
                title="{{ $cell->correction === null ? '' : __('presence.section.corrected', ['why' => $cell->correction->why]) }}">
                <span
                    aria-hidden="true">{{ __('presence.short.' . $cell->status()->value, ['late' => $cell->late, 'minutes' =>
                        $cell->minutes()]) }}</span><span
                    class="visually-hidden">{{ __('presence.long.' . $cell->status()->value, ['late' => $cell->late, 'minutes' =>
                        $cell->minutes()]) }}</span>
            </td>
        @endif
    @endforeach
    @if ($page->ahead !== [])
        <td class="ahead" colspan="{{ count($page->ahead) }}"><span class="visually-hidden">{{ __(
            'presence.section.not_held') }}</span></td>
    @endif
    <td class="num">{{ __('presence.section.of', ['came' => $row->came(), 'all' => $row->held()]) }}</td>
    <td class="num">{{ $row->counts['late'] ?: '' }}</td>
    <td class="num">{{ $row->counts['absent'] ?: '' }}</td>
    <td class="num">{{ Words::minutes($row->minutes) }}</td>
    <td @class(['num', 'corrected' => $row->score->changed !== null])
        title="{{ $row->score->changed === null ? '' : __('presence.score.because', ['why' => $row->score->why]) . ' · '
            . $row->score->by }}">
        {{ number_format($row->score->points(), 1) }}
    </td>
</tr>
