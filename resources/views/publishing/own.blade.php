@props(['page'])
<x-base :title="$page->title">
    <main class="own-page" id="main">
        <h1>{{ $page->title }}</h1>
        <section class="pinned">
            <h2>{{ __('publishing.own.next') }}</h2>
            <p class="next">{{ $page->next ?? __('publishing.own.none') }}</p>
            <x-pairs :of="$page->pinned" />
        </section>
        @foreach ($page->weeks as $week)
            <section>
                <h2>{{ __('publishing.own.week', ['week' => $week->number]) }}</h2>
                @foreach ($week->sessions as $line)
                    <p>{{ $line }}</p>
                @endforeach
                <x-pairs :of="$week->fields" />
            </section>
        @endforeach
        @if ($page->weeks === [])
            <x-empty :title="$page->title">{{ __('publishing.own.empty') }}</x-empty>
        @endif
    </main>
</x-base>
