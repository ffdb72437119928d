{{-- Changes, newest first --}}
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">{{ __('joining.audit.when') }}</th>
            <th scope="col">{{ __('joining.audit.who') }}</th>
            <th scope="col">{{ __('joining.audit.series') }}</th>
            <th scope="col">{{ __('joining.audit.what') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->lines as $line)
            <tr>
                <td class="nowrap">{{ $line->at }}</td>
                <td class="nowrap">{{ $line->by ?? __('joining.audit.system') }}</td>
                <td>{{ $line->series }}</td>
                <td>{{ $line->words }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
