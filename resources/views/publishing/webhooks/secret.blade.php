{{-- The secret of a webhook just added; it is shown once. --}}
@props(['secret'])
<x-card :title="__('places.webhooks.secret')" role="status">
    <p class="mb-1"><span class="mono">{{ $secret }}</span> <x-copy :text="$secret" /></p>
    <p class="quiet small mb-0">{{ __('places.webhooks.secret_hint') }}</p>
</x-card>
