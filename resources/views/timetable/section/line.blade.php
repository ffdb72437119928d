{{-- Its sessions along the term --}}
<div x-data="board" data-left="{{ $page->line->scale()['left'] }}" data-week="{{ $page->line->scale()['week'] }}"
    data-monday="{{ $page->line->scale()['monday'] }}">
    <svg class="line mt-2" width="{{ $page->line->width }}" height="18" role="img" aria-label="{{ __('section.weeks') }}">
        @foreach ($page->line->labels() as $label)
            <text x="{{ $label['x'] }}" y="14">{{ $label['text'] }}</text>
        @endforeach
    </svg>
    <x-term-line :line="$page->line" :days="$page->days" :today="$page->today" :minute="$page->minute" :name="$page->section->name()"
        :url="route('section', $page->section)" large />
</div>
