{{-- What every row begins with, one that is not brought yet too. row: BoardRow --}}
<td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row->sourcedId }}" data-name="{{ $row->name }}"
        aria-label="{{ __('board.choose', ['name' => $row->name]) }}"></td>
<td class="sec"><a
        href="{{ $row->url() }}">{{ $row->name }}</a><small>{{ $row->meets === '' ? __('board.no_timetable')
            : $row->meets }}{{ $row->teacher === '' ? '' : " · $row->teacher" }}</small>
</td>
