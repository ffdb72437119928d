{{-- How it stands on the course page. page: ShowingPage --}}
<x-card :title="__('showing.course')">
    <div class="pair-fields">
        <x-choice name="language" :label="__('showing.language')" :chosen="$page->showing->language"
            :own="in_array('language', $page->own, true)" :hint="__('showing.language_hint')" :of="$page->languages()" />
        <x-choice name="next" :label="__('showing.next')" :chosen="$page->showing->next" :own="in_array('next', $page->own, true)"
            :of="$page->positions('next')" />
        <x-choice name="weeks" :label="__('showing.weeks')" :chosen="$page->showing->weeks" :own="in_array('weeks', $page->own, true)"
            :of="$page->positions('weeks')" :hint="__($page->positionHint())" />
        @foreach (['days_before' => 'from', 'days_after' => 'till'] as $field => $rule)
            <div class="mb-3">
                <label class="form-label" for="f-{{ $field }}">{{ __("showing.$field") }}</label>
                <input class="form-control" id="f-{{ $field }}" name="{{ $field }}" inputmode="numeric" maxlength="4"
                    value="{{ old($field, $page->showing->$rule) }}"
                    aria-describedby="f-{{ $field }}-hint f-{{ $field }}-fault" @error($rule) aria-invalid="true" @enderror>
                <div class="quiet small mt-1" id="f-{{ $field }}-hint">{{ __('showing.days_hint') }}
                    @if (in_array($rule, $page->own, true))
                        · {{ __('showing.own') }}
                    @endif
                </div>
                <div class="invalid" id="f-{{ $field }}-fault" role="alert">{{ $errors->first($rule) }}</div>
            </div>
        @endforeach
        <x-choice name="amount" :label="__('showing.amount')" :chosen="$page->showing->amount->value"
            :own="in_array('amount', $page->own, true)" :of="__('showing.amounts')" />
    </div>
</x-card>
