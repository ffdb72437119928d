{{-- Their calendar, and to themselves its secret addresses --}}
<x-card :title="__('person.calendar')">
    <p><a href="{{ route('person.calendar', $page->who->sourced_id) }}">{{ __('section.feeds.file') }}</a>
        {{ $page->busy === 0 ? '' : ' · ' . trans_choice('person.busy', $page->busy) }}</p>
    @if ($page->post !== null)
        <p><a href="{{ $page->post }}">{{ __('person.post') }}</a></p>
    @endif
    @if ($page->feed !== null)
        <p class="quiet mb-1">{{ __('person.feed_hint') }}</p>
        <p><a class="mono" href="{{ $page->feed }}">{{ Str::limit($page->feed, 44) }}</a> <x-copy :text="$page->feed" /></p>
        @if ($page->busyFeed !== null)
            <p><a href="{{ $page->busyFeed }}">{{ __('publishing.busy') }}</a></p>
        @endif
        <x-act :to="route('feed.renew')" :do="__('person.renew')" />
    @endif
</x-card>
