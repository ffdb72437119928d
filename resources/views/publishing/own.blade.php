{{-- The course page of ours, in the section's language. page: OwnPage --}}
@props(['page'])
<x-base :title="$page->title">
    <main class="own-page" id="main">
        <h1>{{ $page->title }}</h1>
        <section class="pinned">
            <h2>{{ __('published.next') }}</h2>
            <p class="next">{{ $page->next ?? __('published.no_more') }}</p>
            <x-pairs :of="$page->pinned" />
        </section>
        @foreach ($page->weeks as $week)
            @include('publishing.own-week')
        @endforeach
        @if ($page->past !== [])
            <h2>{{ __('published.past') }}</h2>
            @foreach ($page->past as $week)
                @include('publishing.own-week')
            @endforeach
        @endif
        @if ($page->weeks === [] && $page->past === [])
            <x-empty :title="$page->title">{{ __('published.nothing') }}</x-empty>
        @endif
    </main>
</x-base>
