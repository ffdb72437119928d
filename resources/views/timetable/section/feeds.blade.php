{{-- Its calendar, the page to embed and the feed, at secret addresses --}}
<x-card :title="__('section.feeds.title')">
    <p class="quiet mb-1">{{ __('section.feeds.hint') }}</p>
    <p><a class="mono" href="{{ $page->published->feed }}">{{ Str::limit($page->published->feed, 44) }}</a> <x-copy
        :text="$page->published->feed" /></p>
    <p class="mb-1"><a href="{{ route('section.calendar', $page->section) }}">{{ __('section.feeds.file') }}</a>
        @can('serve', $page->section)
            · <a href="{{ route('section.cartridge', $page->section) }}">{{ __('publishing.cartridge.title') }}</a>
        @endcan
    </p>
    <p class="quiet mb-1">{{ __('publishing.own.hint') }}</p>
    <p class="mb-0"><a href="{{ $page->published->own }}">{{ __('publishing.own.title') }}</a> <x-copy :text="$page->published->own" />
        · <a href="{{ $page->published->atom }}">{{ __('publishing.stream.title') }}</a></p>
    @can('serve', $page->section)
        <div class="mt-2"><x-act :to="route('section.addresses', $page->section)" :do="__('section.feeds.renew')" /></div>
    @endcan
    @can('coordinate')
        <p class="mt-2 mb-0"><a href="{{ route('showing.section', $page->section) }}">{{ __('showing.title') }}</a></p>
    @endcan
</x-card>
