{{-- Series that are more open than their preset --}}
<table class="table-plain mb-3">
    <thead>
        <tr>
            <th scope="col">{{ __('joining.audit.series') }}</th>
            <th scope="col">{{ __('joining.preset') }}</th>
            <th scope="col">{{ __('joining.audit.more') }}</th>
            <th scope="col">{{ __('joining.audit.by') }}</th>
        </tr>
    </thead>
    <tbody>
        @foreach ($page->open as $one)
            <tr>
                <td><a
                        href="{{ route('series.door', [$one->series->section, $one->series]) }}"><b>{{ $one->series->section->name(
                            ) }}</b></a>
                </td>
                <td>{{ Say::put($one->preset) }}</td>
                <td>{{ Say::put(array_values($one->more)) }}</td>
                <td @class(['bad' => $one->acceptedBy === null])>{{ $one->acceptedBy ?? __('joining.audit.nobody') }}</td>
            </tr>
        @endforeach
    </tbody>
</table>
