{{-- The clashes of the sections that move, before and after. preview: MovesPreview --}}
<div class="columns mt-3" role="status">
    @foreach (['before', 'after'] as $when)
        <x-card :title="trans_choice('moves.clashes.' . $when, count($preview->$when))">
            @if ($preview->$when === [])
                <p class="good mb-0">{{ __('moves.clashes.none') }}</p>
            @else
                <ul class="mb-0">
                    @foreach ($preview->$when as $words)
                        <li>{{ $words }}</li>
                    @endforeach
                </ul>
            @endif
        </x-card>
    @endforeach
</div>
