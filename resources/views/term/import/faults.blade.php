@props(['page'])
@if ($page->faults === [])
    <p class="good">{{ __('import.good') }}</p>
@else
    <table class="table-plain mb-3">
        <thead>
            <tr>
                <th scope="col"></th>
                @foreach (['file', 'line', 'column', 'expected', 'found'] as $column)
                    <th scope="col">{{ __("import.$column") }}</th>
                @endforeach
            </tr>
        </thead>
        <tbody>
            @foreach ($page->faults as $f)
                <tr>
                    <td class="{{ $f->warning ? 'todo' : 'bad' }}">{{ __($f->warning ? 'import.warning' : 'import.fault') }}</td>
                    <td>{{ $f->file }}</td>
                    <td class="num">{{ $f->line ?: '' }}</td>
                    <td>{{ $f->column }}</td>
                    <td>{{ $f->expected }}</td>
                    <td class="mono">{{ Str::limit($f->found, 60) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($page->followed > 0)
        <p class="quiet">{{ trans_choice('import.followed', $page->followed) }}</p>
    @endif
@endif
