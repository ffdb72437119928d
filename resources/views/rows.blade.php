{{-- Rows that were asked for. page: with rows; row: the template of one --}}
@props(['page', 'row'])
<table>
    <tbody>
        @foreach ($page->rows as $one)
            @include($row, ['row' => $one])
        @endforeach
    </tbody>
</table>
