{{-- Copies a text. text. A list of more than a thousand rows includes it. --}}
@props(['text'])
<button type="button" class="btn btn-plain py-0" x-data="copy" data-text="{{ $text }}" data-done="{{ __('frame.copied') }}"
    x-on:click="copy">{{ __('frame.copy') }}</button>
