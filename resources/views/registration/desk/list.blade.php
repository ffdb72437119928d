{{-- The waiting lists, in order of arrival --}}
@if ($page->list === [])
    <x-empty :title="__('registration.list.none')">{{ __('registration.list.none_hint') }}</x-empty>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('registration.for') }}</th>
                <th scope="col" class="num">{{ __('registration.list.place') }}</th>
                <th scope="col">{{ __('registration.who') }}</th>
                <th scope="col">{{ __('registration.list.came') }}</th>
                <th scope="col"><span class="visually-hidden">{{ __('registration.decide') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->list as $row)
                <tr>
                    <td>{{ $row->for }}</td>
                    <td class="num">{{ $row->place }}</td>
                    <td>{{ $row->name }}<br><small>{{ $row->address }}</small></td>
                    <td>{{ $row->arrived }}</td>
                    <td class="acts">
                        <x-act :to="route('desk.withdraw', $row->id)" method="delete" :do="__('registration.list.take_off')"
                            :about="$row->name" />
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
