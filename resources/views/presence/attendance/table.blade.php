{{-- Students by sessions. page: SectionPage --}}
<div class="wide-table" tabindex="0" role="region" aria-label="{{ __('presence.section.here') }}">
    <table class="attendance">
        <thead>
            <tr>
                <th scope="col">{{ __('presence.section.student') }}</th>
                @foreach ($page->columns as $column)
                    <th scope="col" class="day"><a href="{{ route('attendance.session', [$page->section, $column->session]) }}"
                            title="{{ $column->topic }}">{{ Say::dayMonth($column->day) }}</a></th>
                @endforeach
                @foreach ($page->ahead as $day)
                    <th scope="col" class="day ahead"><span>{{ Say::dayMonth($day) }}</span></th>
                @endforeach
                <th scope="col" class="num">{{ __('presence.section.came') }}</th>
                <th scope="col" class="num">{{ __('presence.section.lates') }}</th>
                <th scope="col" class="num">{{ __('presence.section.absent') }}</th>
                <th scope="col" class="num">{{ __('presence.section.minutes') }}</th>
                <th scope="col" class="num">{{ __('presence.section.score') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->rows as $row)
                @include('presence.attendance.row', ['row' => $row])
            @endforeach
        </tbody>
        <tfoot>
            <tr>
                <th scope="row">{{ __('presence.section.sum_row') }}</th>
                @foreach ($page->columns as $column)
                    <td title="{{ $column->isTold ? '' : __('presence.section.unknown_long') }}">
                        {{ $column->isTold ? $column->came() : __('presence.section.unknown') }}</td>
                @endforeach
                @foreach ($page->ahead as $day)
                    <td></td>
                @endforeach
                <td class="num">{{ $page->share() === null ? '' : $page->share() . ' %' }}</td>
                <td colspan="4"></td>
            </tr>
        </tfoot>
    </table>
</div>
