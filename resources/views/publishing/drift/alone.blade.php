{{-- What is left alone. rows: DriftRow[] --}}
@props(['rows'])
<h2 class="mt-4">{{ __('publishing.drift.alone') }} <small class="quiet">{{ __('publishing.drift.alone_hint') }}</small></h2>
<table class="table-plain">
    <tbody>
        @foreach ($rows as $row)
            <tr>
                <th scope="row"><a href="{{ route('section', $row->section) }}">{{ $row->name }}</a></th>
                <td>{{ Say::this($row->place->said()) }}, {{ $row->label }}</td>
                <td><x-act :to="route('drift.take-back', $row->placement)" :do="__('publishing.drift.take_back')"
                    :about="$row->label" /></td>
            </tr>
        @endforeach
    </tbody>
</table>
