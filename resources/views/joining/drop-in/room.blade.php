{{-- One drop-in room. room: DropInRow --}}
<tr id="room-{{ $room->id }}">
    <td><b>{{ $room->name }}</b>
        @if ($room->isHidden)
            <span class="todo">{{ __('joining.drop_ins.hidden') }}</span>
        @endif
        <br><a href="{{ route('section', $room->sectionId) }}">{{ $room->section }}</a>
    </td>
    <td>{{ $room->hours }}</td>
    <td @class(['nowrap', 'good' => $room->openUntil !== null])>
        @if ($room->openUntil !== null)
            {{ __('joining.drop_ins.open_until', ['time' => $room->openUntil]) }}
        @else
            {{ $room->next === '' ? __('joining.drop_ins.over') : $room->next }}
        @endif
    </td>
    <td><span class="mono nowrap">{{ $room->code }}</span> <x-copy :text="$room->link" /><br>
        <small class="quiet">{{ __('section.joining.dial', ['number' => $room->dialIn, 'pin' => $room->pin]) }}</small>
    </td>
    <td title="{{ Say::this($room->preset->sentence()) }}">{{ Say::put($room->preset->name) }}</td>
    <td>
        <div class="inline">
            <a class="btn btn-side" href="{{ route('drop-in.live', $room->id) }}">{{ __('joining.live') }}<span class="visually-hidden">
                    {{ __('joining.drop_ins.desk_of', ['name' => $room->name]) }}</span></a>
            <x-act :to="route('drop-ins.hide', $room->id)" :with="['hidden' => $room->isHidden ? 0 : 1]"
                :do="__($room->isHidden ? 'joining.drop_ins.show' : 'joining.drop_ins.hide')" :about="$room->name" />
            @include('joining.drop-in.more')
        </div>
    </td>
</tr>
