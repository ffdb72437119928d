{{-- A row that is brought when it comes into sight; it can be found, chosen and opened before. row: BoardRow --}}
<tr class="row-s" tabindex="-1" aria-label="{{ $row->name }}" data-stub>
    @include('timetable.board.name')
    <td class="line-cell"></td>
    <td colspan="6"></td>
</tr>
