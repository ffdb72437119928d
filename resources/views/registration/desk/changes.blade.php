{{-- Who joined or left a roster this term --}}
@if ($page->changes === [])
    <x-empty :title="__('registration.changes.none')">{{ __('registration.changes.none_hint') }}</x-empty>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('registration.who') }}</th>
                <th scope="col">{{ __('registration.changes.section') }}</th>
                <th scope="col">{{ __('registration.changes.what') }}</th>
                <th scope="col">{{ __('registration.title') }}</th>
                <th scope="col"><span class="visually-hidden">{{ __('registration.changes.mend') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->changes as $row)
                <tr>
                    <td>{{ $row->name }}</td>
                    <td><a href="{{ route('section', $row->sectionId) }}">{{ $row->section }}</a></td>
                    <td>{{ __("registration.changes.kinds.$row->what", ['day' => $row->on]) }}</td>
                    <td>
                        @if ($row->isDone)
                            <span
                                class="ok">{{ __($row->what === 'left' ? 'registration.changes.gone' : 'registration.changes.is') }}</span>
                        @else
                            <span
                                class="todo">{{ __($row->what === 'left' ? 'registration.changes.still'
                                    : 'registration.changes.not_yet') }}</span>
                        @endif
                    </td>
                    <td class="acts">
                        @if (!$row->isDone)
                            <x-act :to="route('rosters.store')" :with="['sections[]' => $row->sectionId]"
                                :do="__('registration.changes.follow')" :about="$row->section" />
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
