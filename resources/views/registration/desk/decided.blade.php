{{-- What was decided last --}}
@if ($page->decided === [])
    <x-empty :title="__('registration.decided.none')">{{ __('registration.decided.none_hint') }}</x-empty>
@else
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('registration.who') }}</th>
                <th scope="col">{{ __('registration.for') }}</th>
                <th scope="col">{{ __('registration.decided.decided') }}</th>
                <th scope="col">{{ __('registration.decided.letter') }}</th>
                <th scope="col"><span class="visually-hidden">{{ __('registration.decided.back') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->decided as $row)
                <tr>
                    <td>{{ $row->name }}</td>
                    <td>{{ $row->for }}</td>
                    <td><span
                            class="{{ $row->tone() }}">{{ __('registration.decided.states.' . ($row->isSent ? 'sent'
                                : $row->state->value)) }}</span>
                        @if ($row->reason)
                            <br><small>{{ $row->reason }}</small>
                        @endif
                    </td>
                    <td class="quiet">{{ $row->trouble ?? __("registration.decided.letters.$row->letter") }}</td>
                    <td class="acts">
                        @if ($row->mayUndo)
                            <x-act :to="route('desk.undo', $row->id)" method="delete" :do="__('registration.decided.undo')"
                                :about="__('registration.decided.undo_about', ['name' => $row->name])" />
                        @elseif ($row->mayWithdraw)
                            <x-act :to="route('desk.withdraw', $row->id)" method="delete" :do="__('registration.decided.withdraw')"
                                :about="$row->name" />
                        @endif
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
@endif
