{{-- Coming in, or what else there is to do --}}
@if ($page->isOpen)
    @if ($page->isRecorded)
        <p class="todo">{{ __('door.recorded') }}</p>
    @endif
    <form method="post" action="{{ $page->enter }}">@csrf
        <button class="act main">{{ $page->words[2] }}</button>
    </form>
@elseif ($page->words[2] !== '')
    <span class="act off" aria-disabled="true">{{ $page->words[2] }}</span>
    <a class="act" href="{{ url()->current() }}">{{ __('door.look') }}</a>
@else
    @if ($page->asks !== null)
        <x-door.ask :action="$page->asks" :asked="$page->asked" />
    @endif
    @if ($page->register !== null)
        <a class="act main" href="{{ $page->register }}">{{ __('door.to_registration') }}</a>
    @endif
    @auth
        <a class="act" href="/">{{ __('door.to_own') }}</a>
    @endauth
@endif
