{{-- The one registration for all sessions. one: OwnRegistration --}}
@switch($one->state->value)
    @case('accepted')
        <p>{{ __('register.own_link') }}</p>
        @if ($page->link !== null)
            <a class="act main" href="{{ $page->link }}">{{ __('register.door') }}</a>
        @endif
    @break

    @case('waiting')
        <p>{{ __('register.waits') }}</p>
    @break

    @case('queued')
        <p>{{ __('register.queued', ['place' => $one->place]) }}</p>
    @break

    @case('declined')
        <p class="fault">{{ __('register.because', ['reason' => $one->reason]) }}</p>
    @break

@endswitch
@if ($one->holds())
    <form method="post" action="{{ route('register.destroy', [$page->series, $one->id]) }}">@csrf
        @method('delete')
        <button class="act">{{ __('register.withdraw') }}</button>
    </form>
@endif
