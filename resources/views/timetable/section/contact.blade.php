{{-- Contact time, and its target --}}
<x-card :title="__('section.contact.title')">
    <x-contact-bar :bar="$page->plan->contact" />
    @if ($page->mayPlan)
        <details class="mt-1">
            <summary class="quiet">{{ __($page->plan->target === '' ? 'section.contact.set' : 'section.contact.change') }}</summary>
            <form class="inline mt-1" method="post" action="{{ route('contact-time.target') }}">@csrf
                @method('put')
                <input type="hidden" name="sections[]" value="{{ $page->section->sourced_id }}">
                <input class="form-control time" name="target" aria-label="{{ __('section.contact.label') }}" placeholder="36"
                    value="{{ $page->plan->target }}">
                <span class="quiet">{{ __('section.contact.hours') }}</span>
                <button class="btn btn-side">{{ __('section.contact.do') }}</button>
            </form>
        </details>
    @endif
</x-card>
