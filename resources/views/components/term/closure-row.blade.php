{{-- One range of a calendar that is read, to be chosen. row: ClosureRow --}}
@props(['row'])
<tr>
    <td>
        @if ($row->canBeTaken())
            <label><input class="form-check-input" type="checkbox" name="take[]" value="{{ $row->code }}" @checked($row->hours === null)>
                <b>{{ $row->closure->reason }}</b></label>
        @else
            <b>{{ $row->closure->reason }}</b>
        @endif
    </td>
    <td>{{ Say::day($row->closure->first) }}</td>
    <td>{{ Say::day($row->closure->last) }}</td>
    <td>
        @if ($row->effect)
            <span
                @class([
                    'todo' => $row->effect->lost > 0,
                    'good' => $row->effect->lost === 0,
                ])>{{ trans_choice('term.read.lost', $row->effect->lost, ['sections' => trans_choice('term.sections',
                    $row->effect->sections)]) }}</span>
        @else
            <span class="quiet">{{ __(Lang::has("term.read.not.$row->why") ? "term.read.not.$row->why" : $row->why) }}</span>
        @endif
        @if ($row->isCut)
            <span class="quiet">{{ __('term.read.cut') }}</span>
        @endif
        @if ($row->hours)
            <span class="todo">{{ __('term.read.hours', ['hours' => $row->hours]) }}</span>
        @endif
    </td>
</tr>
