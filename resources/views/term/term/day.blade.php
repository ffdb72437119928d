{{-- One day of the term. day: DayCell --}}
@if (!$day->isInTerm)
    <td class="out">–</td>
@elseif ($day->closed !== null)
    <td @class(['shut', 'today' => $day->isToday]) data-day="{{ $day->date->iso() }}">
        <span><x-joined by=" · " :of="[$day->date->parts()[2], $day->reason()]" /></span>
    </td>
@else
    <td @class(['today' => $day->isToday, 'is-short' => $day->isShort]) data-day="{{ $day->date->iso() }}">
        <a href="{{ route('timetable', ['day' => $day->date->iso()]) }}" draggable="false">
            <span class="d">{{ $day->date->parts()[2] }}
                @if ($day->rotation !== null)
                    <span class="rot">{{ $day->rotation }}</span>
                @endif
                @if ($day->isShort)
                    <span class="rot">{{ __('term.short') }}</span>
                @endif
            </span>
            <span class="quiet">{{ trans_choice('term.on_day', $day->sessions) }}</span>
        </a>
    </td>
@endif
