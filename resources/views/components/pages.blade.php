{{-- One page of several. page, pages; before, next: addresses --}}
@props(['page', 'pages', 'before', 'next'])
@if ($pages > 1)
    <span {{ $attributes }}>
        @if ($page > 1)
            <a class="pill" href="{{ $before }}">‹ {{ __('frame.pages.before') }}</a>
        @endif
        <span class="quiet">{{ __('frame.pages.of', ['n' => $page, 'all' => $pages]) }}</span>
        @if ($page < $pages)
            <a class="pill" href="{{ $next }}">{{ __('frame.pages.next') }} ›</a>
        @endif
    </span>
@endif
