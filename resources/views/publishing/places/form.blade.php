{{-- Where a service is. card: PlaceCard --}}
@props(['card', 'mine' => old('of') === $card->service()->value])
<form method="post" action="{{ route('places.update', $card->service()) }}" class="outside-form">@csrf @method('put')
    <input type="hidden" name="of" value="{{ $card->service()->value }}">
    <label class="form-label" for="kind-{{ $card->service()->value }}">{{ __('publishing.places.kind') }}</label>
    <select class="form-select mb-2" id="kind-{{ $card->service()->value }}" name="kind">
        @foreach ($card->service()->kinds() as $kind)
            <option value="{{ $kind->value }}" @selected($mine ? old('kind') === $kind->value : $kind === $card->settings->kind)>
                {{ __("publishing.places.kinds.$kind->value") }}</option>
        @endforeach
    </select>
    <x-place-field of="{{ $card->service()->value }}" name="url" :label="__('publishing.places.url')" :mine="$mine" :value="$card->url()"
        :hint="trans()->has('publishing.places.url_hint.' . $card->service()->value)
            ? __('publishing.places.url_hint.' . $card->service()->value)
            : __('publishing.places.url_hint.other')" />
    <div class="outside-pairs">
        <x-place-field of="{{ $card->service()->value }}" name="user" :label="__('publishing.places.user')" :mine="$mine"
            :value="$card->settings->user" />
        <x-place-field of="{{ $card->service()->value }}" name="password" type="password" :label="__('publishing.places.password')"
            :mine="$mine"
            :hint="$card->hasPassword() ? __('publishing.places.password_kept') : __('publishing.places.password_hint')" />
        <x-place-field of="{{ $card->service()->value }}" name="pace" :label="__('publishing.places.pace')" :mine="$mine"
            :value="$card->settings->pace"
            :hint="__('publishing.places.pace_hint')" />
        <x-place-field of="{{ $card->service()->value }}" name="timeout" :label="__('publishing.places.timeout')" :mine="$mine"
            :value="$card->settings->timeout" />
    </div>
    @if ($card->hasPassword())
        <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="forget" value="1">
            {{ __('publishing.places.forget') }}</label>
    @endif
    <p class="quiet small">{{ __('publishing.places.elsewhere') }}</p>
    <button class="btn btn-side" formaction="{{ route('places.try', $card->service()) }}">{{ __('publishing.places.try') }}</button>
    <button class="btn btn-main">{{ __('publishing.places.keep') }}</button>
</form>
@if ($card->isKept)
    <x-act :to="route('places.reset', $card->service())" method="delete" :do="__('publishing.places.environment')" />
@endif
