@props(['page'])
<x-app :title="__('publishing.places.title')">
    <x-page-head :title="__('publishing.places.title')">
        <x-slot:sum>{{ trans_choice('publishing.places.sum', $page->standins()) }}</x-slot:sum>
        <a class="pill" href="{{ route('webhooks') }}">{{ __('places.webhooks.title') }}</a>
        <a class="pill" href="{{ route('drift') }}">{{ __('publishing.drift.title') }}</a>
        <a class="pill" href="{{ route('publishing') }}">{{ __('publishing.places.plan') }}</a>
    </x-page-head>
    <div class="outside">
        @foreach ($page->cards as $card)
            @include('publishing.places.card', ['card' => $card])
        @endforeach
    </div>
</x-app>
