@props(['clock', 'zone'])
@php
    $now = $clock->seconds();
    $date = $zone->dateAt($now);
@endphp
@if ($clock->isMovable())
    <details class="clock">
        <summary title="The demo's clock stands here; move it">{{ $date->short() }} <b>{{ $zone->clock($now) }}</b> {{ $zone->place() }}
        </summary>
        <form class="drop" method="post" action="{{ route('clock') }}">
            @csrf
            <p class="small">The demo's clock stands still until you move it.</p>
            <div class="steps">
                @foreach (['-1440' => '− 1 day', '-60' => '− 1 h', '-10' => '− 10 min', '1440' => '+ 1 day', '60' => '+ 1 h', '10' =>
                    '+ 10 min'] as $step => $label)
                    <button class="btn btn-side" name="step" value="{{ $step }}">{{ $label }}</button>
                @endforeach
            </div>
            <button class="btn btn-main next" name="step" value="next">To the next session</button>
            <div class="row2">

                <x-date name="date" :value="$date->iso()" label="Day" />

                <input class="form-control" name="time" value="{{ $zone->clock($now) }}" aria-label="Time in {{ $zone->place() }}"
                    autocomplete="off">
                <button class="btn btn-side">Set</button>
            </div>
        </form>
    </details>
@else
    <div class="clock plain">{{ $date->short() }} <b>{{ $zone->clock($now) }}</b> {{ $zone->place() }}</div>
@endif
