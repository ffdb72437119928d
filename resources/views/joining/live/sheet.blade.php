{{-- What is shown or drawn. page: DeskPage --}}
<section class="a-sheet" aria-labelledby="sheet-title">
    <h2 id="sheet-title">{{ __('live.sheet.title') }}</h2>
    @if ($page->room['window'] !== null)
        <p class="said mb-2">
            {{ __('live.sheet.window', ['name' => $page->room['window']['name'], 'title' => $page->room['window']['title']]) }}</p>
    @endif
    @if ($page->room['question'] !== null)
        @include('joining.live.question', ['question' => $page->room['question']])
    @endif
    <svg class="sheet" viewBox="0 0 800 560" x-ref="sheet" role="img"
        aria-label="{{ trans_choice('live.sheet.marks', count($page->room['sheet'])) }}">
        @foreach ($page->room['sheet'] as $mark)
            <x-live.mark :mark="$mark" />
        @endforeach
        @if ($page->room['sheet'] === [])
            <text class="hint" x="400" y="280" text-anchor="middle">{{ __('live.sheet.empty') }}</text>
        @endif
    </svg>
</section>
