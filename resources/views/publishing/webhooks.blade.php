@props(['page'])
<x-app :title="__('places.webhooks.title')">
    <x-page-head :title="__('places.webhooks.title')">
        <a class="pill" href="{{ route('places') }}">{{ __('publishing.places.title') }}</a>
    </x-page-head>
    <p class="quiet mt-2">{{ __('places.webhooks.hint') }}</p>
    @includeWhen(session('webhook.secret') !== null, 'publishing.webhooks.secret', ['secret' => session('webhook.secret')])
    <div class="columns mt-2">
        <div>
            <x-card :title="__('places.webhooks.log')" :beside="trans_choice('places.webhooks.sum', $page->all)">
                @include('publishing.webhooks.log', ['messages' => $page->messages])
            </x-card>
        </div>
        <div>
            @foreach ($page->webhooks as $webhook)
                @include('publishing.webhooks.one', ['webhook' => $webhook])
            @endforeach
            <x-card :title="__('places.webhooks.add')">
                <form method="post" action="{{ route('webhooks.store') }}">@csrf
                    <x-field name="address" :label="__('places.webhooks.address')" :hint="__('places.webhooks.address_hint')" />
                    <button class="btn btn-side">{{ __('places.webhooks.add_it') }}</button>
                </form>
            </x-card>
        </div>
    </div>
</x-app>
