{{-- A card: title; beside: a few quiet words next to it --}}
@props(['title', 'beside' => ''])
<section {{ $attributes->merge(['class' => 'card-s']) }}>
    <h2>{{ $title }} @if ($beside !== '')
            <small class="quiet">{{ $beside }}</small>
        @endif
    </h2>
    {{ $slot }}
</section>
