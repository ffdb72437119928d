{{-- One service: where it is, what is published there, and changing it. card: PlaceCard --}}
@props(['card'])
<x-card :title="__('places.services.' . $card->service()->value . '.name')" id="{{ $card->service()->value }}" class="outside-card">
    <p class="quiet">{{ __('publishing.places.what.' . $card->service()->value) }}</p>
    <p class="outside-is"><b>{{ __('publishing.places.kinds.' . $card->settings->kind->value) }}</b>
        @if ($card->url() !== '')
            <span class="quiet">{{ __('publishing.places.at', ['url' => $card->url()]) }}</span>
        @endif
        @unless ($card->isKept)
            <span class="quiet">· {{ __('publishing.places.environment_is') }}</span>
        @endunless
    </p>
    @if ($card->repliesTo() !== null)
        <p class="quiet mb-1">{{ __('registration.replies_to') }} <span class="mono">{{ Str::limit($card->repliesTo(), 60) }}</span>
            <x-copy :text="$card->repliesTo()" />
        </p>
    @endif
    @if ($card->plan !== null)
        <p>{{ trans_choice('publishing.places.stands', $card->plan['stands']) }};
            @if ($card->plan['add'] + $card->plan['change'] + $card->plan['remove'] > 0)
                @foreach (['add', 'change', 'remove'] as $verb)
                    @if ($card->plan[$verb] > 0)
                        <b class="todo">{{ __("publishing.places.to_$verb", ['n' => $card->plan[$verb]]) }}</b>
                    @endif
                @endforeach
            @else
                <span class="ok">{{ __('publishing.places.nothing_to_do') }}</span>
            @endif
        </p>
    @endif
    @includeWhen(session('trial.service') === $card->service()->value, 'publishing.places.trial')
    <details @if (session('trial.service') === $card->service()->value || old('of') === $card->service()->value) open @endif>
        <summary>{{ __('publishing.places.change') }}</summary>
        @include('publishing.places.form', ['card' => $card])
    </details>
    @includeWhen($card->settings->kind->value === 'known-rooms', 'publishing.places.rooms')
</x-card>
