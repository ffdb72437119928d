{{-- Its sessions along the term --}}
<div x-data="board" data-left="{{ $page->when->line->scale()['left'] }}" data-week="{{ $page->when->line->scale()['week'] }}"
    data-monday="{{ $page->when->line->scale()['monday'] }}">
    <svg class="line mt-2" width="{{ $page->when->line->width }}" height="18" role="img" aria-label="{{ __('section.weeks') }}">
        @foreach ($page->when->line->labels() as $label)
            <text x="{{ $label['x'] }}" y="14">{{ $label['text'] }}</text>
        @endforeach
    </svg>
    <x-term-line :line="$page->when->line" :days="$page->when->days" :today="$page->when->today" :minute="$page->when->minute"
        :name="$page->section->name()" :url="route('section', $page->section)" large />
</div>
