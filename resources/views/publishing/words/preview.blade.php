{{-- How the words read. page: WordsPage --}}
<x-card :title="__('showing.words_page.preview')" :beside="$page->isKept ? '' : __('showing.words_page.unsaved')">
    <form method="get" action="{{ route('letters') }}" class="mb-3">
        <input type="hidden" name="kind" value="{{ $page->kind->code() }}">
        <input type="hidden" name="language" value="{{ $page->language }}">
        <label for="of-section">{{ __('showing.words_page.of') }}</label>
        <select class="form-select" id="of-section" name="section">
            <option value="">—</option>
            @foreach ($page->sections() as $id => $title)
                <option value="{{ $id }}" @selected($id === $page->section?->sourced_id)>{{ $title }}</option>
            @endforeach
        </select>
        <button class="btn btn-side mt-2">{{ __('showing.words_page.choose') }}</button>
    </form>
    @if ($page->section !== null && !$page->isReal)
        <p class="quiet">{{ __('showing.words_page.nothing') }}</p>
    @endif
    <div lang="{{ $page->language }}">
        <p><b>{{ $page->written[0] }}</b></p>
        @if ($page->written[1] !== '')
            <pre class="invitation">{{ $page->written[1] }}</pre>
        @endif
    </div>
</x-card>
