{{-- Shapes and drawings --}}
<x-card :title="__('house.drawings')">
    <p>
        @foreach (['published', 'planned', 'changed', 'makeup', 'past', 'wrong', 'add', 'remove', 'drift'] as $shape)
            <x-shape :is="$shape" :label="$shape" />
        @endforeach
    </p>
    <x-legend />
    @foreach ($page->bars as $bar)
        <div class="mb-2"><x-contact-bar :$bar /></div>
    @endforeach
</x-card>
