<div class="legend" aria-label="What the shapes mean">
    <span><x-shape is="published" />published</span><span><x-shape is="planned" />planned, not yet published</span><span><x-shape
            is="changed" />changed since it was published</span>
    <span><x-shape is="makeup" />make-up</span><span><x-shape is="past" />past</span><span><x-shape is="wrong" />wrong</span>
    <span><svg width="22" height="14" aria-hidden="true">
            <rect width="22" height="14" fill="url(#hatch)" />
        </svg>closed</span>
</div>
