{{-- What the marks mean --}}
<div class="legend" aria-label="{{ __('term.marks') }}">
    <span><svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="14" fill="url(#hatch)" />
        </svg>{{ __('term.closed_mark') }}</span>
    <span><i class="key-short"></i>{{ __('term.short_mark') }}</span>
    @if ($page->usual->rotation->labels !== [])
        <span><span
                class="rot">{{ $page->usual->rotation->labels[0] }}</span>{{ __($page->usual->rotation->byWeek ? 'term.rotation.mark_week'
                    : 'term.rotation.mark_day') }}</span>
    @endif
    @if ($page->mayChange)
        <span class="quiet">{{ __('term.drag') }}</span>
    @endif
</div>
