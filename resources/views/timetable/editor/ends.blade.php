{{-- When it ends --}}
<fieldset>
    <legend>{{ __('series.ends.title') }}</legend>
    <x-radio name="end_kind" id="e-term" value="term" :chosen="$editor->span->endKind"
        :label="__('series.ends.term', ['day' => $editor->span->termLastShort])" />
    <x-radio name="end_kind" id="e-date" value="date" :chosen="$editor->span->endKind" :label="__('series.ends.on')">
        <x-date name="ends_on" :label="__('series.ends.last_day')" :min="$editor->span->termFirst" :max="$editor->span->termLast"
            :value="$editor->span->endsOn" />
    </x-radio>
    <x-radio name="end_kind" id="e-held" value="held" :chosen="$editor->span->endKind" :label="__('series.ends.after')">
        <input class="form-control n" name="count" inputmode="numeric" aria-label="{{ __('series.ends.held_label') }}"
            value="{{ $editor->span->count }}">
        <span class="quiet">{{ __('series.ends.held') }}</span>
    </x-radio>
    @if ($editor->span->counted !== null)
        <x-radio name="end_kind" id="e-keep" value="keep" :chosen="$editor->span->endKind"
            :label="__('series.ends.imported', ['n' => $editor->span->counted])" />
    @endif
    <x-live-faults :of="['ends_on', 'count']" />
</fieldset>
