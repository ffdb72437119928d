{{-- Drop-in rooms --}}
<h2 class="mt-4">{{ __('me.rooms') }}</h2>
<ul class="places">
    @foreach ($page->rooms as $room)
        <li><b>{{ $room->name }}</b>
            @if ($room->until !== null)
                <span class="ok">{{ __('me.open_until', ['time' => $room->until]) }}</span>
            @else
                <span class="quiet">{{ $room->hours }}</span>
            @endif
            <a href="{{ $room->link }}" aria-label="{{ __('me.room_of', ['name' => $room->name]) }}">{{ __('me.door') }}</a>
        </li>
    @endforeach
</ul>
