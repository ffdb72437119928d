{{-- What is wrong in a file that was read. of: ImportFault[]; file: whether several files were read --}}
@props(['of', 'file' => false])
<table class="table-plain mb-3">
    <thead>
        <tr>
            <th scope="col"><span class="visually-hidden">{{ __('import.kind') }}</span></th>
            @if ($file)
                <th scope="col">{{ __('import.file') }}</th>
            @endif
            <th scope="col">{{ __('import.line') }}</th>
            <th scope="col">{{ __('import.column') }}</th>
            <th scope="col">{{ __('import.expected') }}</th>
            <th scope="col">{{ __('import.found') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach (array_slice($of, 0, 100) as $fault)
            <tr>
                <td class="{{ $fault->warning ? 'todo' : 'bad' }}">{{ __($fault->warning ? 'import.warning' : 'import.fault') }}</td>
                @if ($file)
                    <td>{{ $fault->file }}</td>
                @endif
                <td class="num">{{ $fault->line ?: '' }}</td>
                <td>{{ $fault->column }}</td>
                <td>{{ \Nomada\App\Support\FaultWords::expected($fault) }}</td>
                <td class="mono">{{ Str::limit($fault->found, 80) }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
