{{-- Rows that were asked for. page: BoardRows --}}
@props(['page'])
<table>
    <tbody>
        @foreach ($page->rows as $row)
            @include('timetable.board.row', ['first' => false])
        @endforeach
    </tbody>
</table>
