{{-- Each session as the door and every place tell it. page: Look --}}
<table class="table-plain look">
    <thead>
        <tr>
            <th scope="col">{{ __('publishing.look.session') }}</th>
            <th scope="col">{{ __('publishing.look.door') }}</th>
            @foreach ($page->places() as $place)
                <th scope="col">{{ Say::this($place->said()) }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($page->rows as $row)
            <tr @class(['is-wrong' => $row->isWrong()])>
                <th scope="row">
                    <span class="t">{{ $page->day($row->start) }} {{ $page->clock($row->start) }}–{{ $page->clock($row->end) }}</span>
                    <a href="{{ route('section', $row->section) }}">{{ $row->name }}</a>
                </th>
                <td class="{{ $row->opens ? 'good' : 'todo' }}">{{ $row->door }}</td>
                @foreach ($page->places() as $place)
                    <td><x-look-cell :cell="$row->cell($place)" /></td>
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
