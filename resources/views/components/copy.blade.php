{{-- Copies a text. text --}}
@props(['text'])
<button type="button" class="btn btn-plain py-0" x-data="copy" data-text="{{ $text }}" data-done="{{ __('frame.copied') }}"
    x-on:click="copy">{{ __('frame.copy') }}</button>
