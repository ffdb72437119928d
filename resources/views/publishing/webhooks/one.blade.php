{{-- One program that is told. webhook: WebhookLine --}}
@props(['webhook'])
<x-card :title="parse_url($webhook->address, PHP_URL_HOST)">
    <p class="mono small mb-1 text-break">{{ $webhook->address }}</p>
    <p>{{ trans_choice('places.webhooks.arrived', $webhook->arrived) }}
        <span class="todo">{{ trans_choice('places.webhooks.waiting', $webhook->waiting) }}</span>
        <span class="bad">{{ trans_choice('places.webhooks.lost', $webhook->givenUp) }}</span>
    </p>
    <x-act :to="route('webhooks.try', $webhook->id)" :do="__('places.webhooks.try')" :about="$webhook->address" />
    <x-act :to="route('webhooks.destroy', $webhook->id)" method="delete" class="btn-plain" :do="__('places.webhooks.stop')"
        :about="$webhook->address" />
</x-card>
