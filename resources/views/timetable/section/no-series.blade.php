{{-- A section that meets at no time --}}
<x-empty :title="__('section.empty.title')">
    {{ __('section.empty.words') }}
    @if ($page->mayPlan)
        <a href="{{ route('section', [$page->section, 'change' => 'new']) }}">{{ __('section.empty.do') }}</a>
    @endif
</x-empty>
