{{-- Where else to look --}}
<h2 class="mt-4">{{ __('me.elsewhere') }}</h2>
<ul class="places">
    @if ($page->calendar !== null)
        <li><b>{{ __('me.calendar') }}</b><a href="{{ $page->calendar }}">{{ __('me.open') }}</a></li>
    @endif
    @if ($page->post !== null)
        <li><b>{{ __('me.post') }}</b><a href="{{ $page->post }}">{{ __('me.open') }}</a></li>
    @endif
    @foreach ($page->places as $place)
        <li><b>{{ $place->name }}</b>
            @if ($place->page !== null)
                <a href="{{ $place->page }}" aria-label="{{ __('me.page_of', ['name' => $place->name]) }}">{{ __('me.page') }}</a>
            @endif
            @if ($place->stream !== null)
                <a href="{{ $place->stream }}" aria-label="{{ __('me.stream_of', ['name' => $place->name]) }}">{{ __('me.stream') }}</a>
            @endif
        </li>
    @endforeach
    <li><b>{{ __('me.feed') }}</b><x-copy :text="$page->feed" /></li>
    @if ($page->isStudent())
        <li><b>{{ __('me.attendance') }}</b><a href="{{ route('attendance.own') }}">{{ __('me.open') }}</a></li>
    @endif
    <li><b>{{ __('me.code') }}</b><a href="{{ route('join') }}">{{ __('me.type') }}</a></li>
</ul>
