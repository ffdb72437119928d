{{-- Letters that did not go. page: WordsPage --}}
<x-card :title="__('showing.words_page.stuck')">
    <ul class="legend">
        @foreach ($page->stuck as $letter)
            <li>{{ __('showing.words_page.stuck_to', [
                'kind' => $page->title($letter->kind),
                'name' => $letter->to_name,
                'trouble' => $letter->trouble,
            ]) }}
            </li>
        @endforeach
    </ul>
</x-card>
