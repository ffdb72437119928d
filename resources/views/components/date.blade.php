{{-- A date, typed as people type it ("18 Feb", "18/2", "Thu 18"), with the browser's calendar beside it.
     name, value (ISO), in (a term) or min and max (ISO), label where no label element names it --}}
@props(['name', 'value' => '', 'in' => null, 'min' => null, 'max' => null, 'label' => null])
<span class="dated" x-data="dated"><input {{ $attributes->merge(['class' => 'form-control']) }} name="{{ $name }}"
        autocomplete="off" placeholder="{{ __('frame.date.like') }}" @if ($label !== null) aria-label="{{ $label }}" @endif
        value="{{ \Nomada\App\View\DateText::of(old($name, $value)) }}" x-ref="typed"><input class="picker" type="date" tabindex="-1"
        aria-hidden="true" min="{{ $min ?? $in?->first->iso() }}" max="{{ $max ?? $in?->last->iso() }}" x-ref="picker" x-on:change="picked"
        data-iso="{{ old($name, $value) }}"><button type="button" class="btn btn-plain" x-on:click="pick" hidden x-ref="button"
        aria-label="{{ $label === null ? __('frame.date.choose') : __('frame.date.choose_this', ['what' => lcfirst($label)]) }}"><svg
            width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
            <path d="M2.5 4.5h11v9h-11zM2.5 7.5h11M5.5 2.5v3M10.5 2.5v3" fill="none" stroke="currentColor" />
        </svg></button></span>
