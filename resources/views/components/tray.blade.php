{{-- What can be done with the chosen rows of a list, which a script counts and names. label; in the slot the acts --}}
@props(['label'])
<div class="tray" role="region" aria-label="{{ $label }}">
    <b x-text="words()">{{ __('frame.chosen') }}</b>
    <span class="names" x-text="names"></span>
    <button class="btn btn-side" type="button" x-on:click="clear">{{ __('frame.none') }}</button>
    {{ $slot }}
</div>
