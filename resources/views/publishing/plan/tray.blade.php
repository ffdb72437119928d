{{-- Carrying the plan out: where, and when --}}
<div class="tray shown" role="region" aria-label="{{ __('plan.tray') }}">
    <b x-text="words()">{{ $page->steps() > 0 ? trans_choice('plan.placements', $page->steps()) : __('plan.to_tell') }}</b><span
        class="names" x-text="of()"></span>
    <span class="only">{{ __('publishing.runs.where') }}
        @foreach (\Nomada\Core\Publishing\Place::cases() as $place)
            <label><input class="form-check-input" type="checkbox" name="places[]" value="{{ $place->value }}" checked>
                {{ Say::this($place->said()) }}</label>
        @endforeach
    </span>
    @include('publishing.later')
    <a class="btn btn-side" href="{{ route('board') }}">{{ __('plan.back') }}</a>
    <button class="btn btn-main" x-text="label()" x-bind:disabled="none()">{{ __('plan.title') }}</button>
</div>
