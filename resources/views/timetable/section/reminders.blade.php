{{-- How its students are reminded, where they have not chosen themselves --}}
<x-card :title="__('remind.title')">
    @include('publishing.remind', [
        'to' => route('section.remind', $page->section),
        'label' => __('remind.section'),
        'choices' => \Nomada\Core\Post\Reminder::ofSections(),
        'value' => $page->section->remind,
    ])
    <p class="quiet small mb-0">{{ __('remind.hint') }}</p>
</x-card>
