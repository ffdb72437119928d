{{-- What time it is; the demo's clock can be moved. of: Frame --}}
@props(['of'])
@if ($of->isMovable)
    <details class="clock">
        <summary title="{{ __('frame.clock.title') }}">{{ $of->day }} <b>{{ $of->time }}</b> {{ $of->place }}</summary>
        <form class="drop" method="post" action="{{ route('clock') }}">@csrf
            <p class="small">{{ __('frame.clock.hint') }}</p>
            <div class="steps">
                @foreach (__('frame.clock.steps') as $minutes => $words)
                    <button class="btn btn-side" name="step" value="{{ $minutes }}">{{ $words }}</button>
                @endforeach
            </div>
            <button class="btn btn-main next" name="step" value="next">{{ __('frame.clock.next') }}</button>
            <div class="row2">
                <x-date name="date" :value="$of->iso" :label="__('frame.clock.day')" />
                <input class="form-control" name="time" value="{{ $of->time }}" autocomplete="off"
                    aria-label="{{ __('frame.clock.time', ['place' => $of->place]) }}">
                <button class="btn btn-side">{{ __('frame.clock.set') }}</button>
            </div>
        </form>
    </details>
@else
    <div class="clock plain">{{ $of->day }} <b>{{ $of->time }}</b> {{ $of->place }}</div>
@endif
