{{-- The mark: a path that rises over a stop. --}}
@props(['size' => 24])
<svg width="{{ $size }}" height="{{ $size }}" viewBox="0 0 24 24" aria-hidden="true">
    <path d="M2 18C7 18 7 6 12 6S17 18 22 18" fill="none" stroke="#7fd1c7" stroke-width="2.6" stroke-linecap="round" />
    <circle cx="12" cy="6" r="3.6" fill="#16262e" stroke="#fff" stroke-width="2.4" />
</svg>
