{{-- What the shapes mean --}}
<div class="legend" aria-label="{{ __('frame.legend.title') }}">
    @foreach (['published', 'planned', 'changed', 'makeup', 'past', 'wrong'] as $shape)
        <span><x-shape :is="$shape" />{{ __("frame.legend.$shape") }}</span>
    @endforeach
    <span><svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="14" fill="url(#hatch)" />
        </svg>{{ __('frame.legend.closed') }}</span>
</div>
