{{-- Who waits, who is inside, who has not come. page: DeskPage --}}
<section class="a-who" aria-labelledby="who-title">
    <h2 id="who-title">{{ __('live.who.title') }} <small class="quiet">{{ __('live.who.order') }}</small></h2>
    @if ($page->room['outside'] !== [])
        @include('joining.live.outside')
    @endif
    @if ($page->claims !== [])
        <x-door.claims :claims="$page->claims" :live="$page->live" />
    @endif
    <p class="quiet mb-1">
        {{ $page->room['state'] === 'over' && $page->room['inside'] === []
            ? __('live.who.over')
            : trans_choice('live.who.inside', count($page->room['inside'])) }}
    </p>
    <ul class="live">
        @foreach ($page->room['inside'] as $one)
            @include('joining.live.person', ['one' => $one])
        @endforeach
    </ul>
    @if ($page->teachers !== [])
        <p class="quiet small mt-2 mb-1">{{ __('live.who.teachers', ['names' => implode(', ', $page->teachers)]) }}</p>
    @endif
    @if ($page->sentOut !== [])
        <p class="bad small mb-1">{{ __('live.who.sent_out', ['names' => implode(', ', $page->sentOut)]) }}</p>
    @endif
    @if ($page->left !== [])
        <p class="quiet small mb-1">{{ trans_choice('live.who.left', count($page->left), ['names' => implode(', ', $page->left)]) }}</p>
    @endif
    @if ($page->missing !== [])
        @include('joining.live.missing')
    @endif
</section>
