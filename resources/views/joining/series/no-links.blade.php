{{-- A series without a link --}}
<x-card :title="__('joining.links.title')">
    <p class="todo">{{ __('section.joining.none') }}</p>
    @if ($page->mayChange)
        <x-act :to="route('links.store')" :with="['sections[]' => $page->section->sourced_id]" class="btn-main"
            :do="__('section.joining.make')" />
    @endif
</x-card>
