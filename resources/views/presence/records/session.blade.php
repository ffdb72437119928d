{{-- One session of the past. one: SessionRecord --}}
<tr>
    <td>{{ $one->time }}</td>
    <td>
        @if ($one->isHeld)
            <a href="{{ $page->sessionOf->to($one->section, $one->id) }}"><b>{{ $one->name }}</b></a>
        @else
            <b>{{ $one->name }}</b>
        @endif
        <span class="quiet">{{ $one->topic }}</span>
        @if ($one->makesUp)
            <small class="quiet">{{ __('presence.records.makes_up') }}</small>
        @endif
    </td>
    @if (!$one->isHeld)
        <td colspan="4" class="bad">{{ __('presence.records.not_held', ['reason' => $one->reason]) }}</td>
    @else
        <td>
            @if ($one->came === null)
                <span class="quiet">{{ __($one->isRunning ? 'presence.records.running' : 'presence.records.unknown') }}</span>
            @else
                <b>{{ __('presence.section.of', ['came' => $one->came, 'all' => $one->came + $one->absent + $one->excused]) }}</b>
                @if ($one->late > 0)
                    <span class="todo">{{ __('presence.records.late', ['count' => $one->late]) }}</span>
                @endif
                @if ($one->guests > 0)
                    <span class="quiet">{{ trans_choice('presence.records.guests', $one->guests) }}</span>
                @endif
            @endif
        </td>
        <td>{{ $one->absent > 0 ? $one->absent : '' }}
            @if ($one->excused > 0)
                <span class="quiet">{{ trans_choice('presence.session.excused', $one->excused) }}</span>
            @endif
        </td>
        <td>
            @if ($one->state !== null)
                <a @class([
                    'ok' => $one->state->value === 'released',
                    'bad' => $one->state->value === 'failed',
                ])
                    href="{{ $page->recording->to($one->recording) }}">{{ __('recordings.states.' . $one->state->value) }}</a>
                {{ $one->trouble }}
            @endif
        </td>
        <td>
            @if ($one->left() !== null)
                <a class="todo"
                    href="{{ $one->left() === 'release' ? $page->recording->to($one->recording) : $page->sessionOf->to($one->section,
                        $one->id) }}">{{ __('presence.records.to_do.' . $one->left()) }}<span
                        class="visually-hidden"> {{ $one->name }}</span></a>
            @endif
        </td>
    @endif
</tr>
