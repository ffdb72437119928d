{{-- Rows that were asked for. rows: BoardRow[]; line, today, minute --}}
<table>
    <tbody>
        @foreach ($rows as $row)
            @include('timetable.board.row', ['first' => false])
        @endforeach
    </tbody>
</table>
