{{-- What others have added there. rows: AddedRow[] --}}
@props(['rows'])
<h2 class="mt-4">{{ __('publishing.added.title') }} <small class="quiet">{{ __('publishing.added.hint') }}</small></h2>
<table class="table-plain">
    <thead>
        <tr>
            <th scope="col">{{ __('publishing.added.section') }}</th>
            <th scope="col">{{ __('publishing.added.what') }}</th>
            <th scope="col"><span class="visually-hidden">{{ __('publishing.added.do') }}</span></th>
        </tr>
    </thead>
    <tbody>
        @foreach ($rows as $row)
            <tr>
                <th scope="row"><a href="{{ route('section', $row->section) }}">{{ $row->name }}</a></th>
                <td>{{ $row->title }} <small class="d-block quiet">{{ Say::this($row->place->said()) }}</small></td>
                <td class="text-end">
                    <x-act :to="route('added.leave', [$row->section, $row->id])" :do="__('publishing.added.leave')" :about="$row->title" />
                    @if ($row->canGo())
                        <x-act :to="route('added.remove', [$row->section, $row->id])" method="delete" :do="__('publishing.added.remove')"
                            :about="$row->title" />
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
