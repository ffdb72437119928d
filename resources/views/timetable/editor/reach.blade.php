{{-- How far a change goes --}}
<fieldset>
    <legend>{{ __('series.reach.title') }}</legend>
    <x-radio name="reach" id="r-whole" value="whole" :chosen="$editor->reach" :label="__('series.reach.whole')" />
    <x-radio name="reach" id="r-later" value="later" :chosen="$editor->reach" :label="__('series.reach.later')">
        <x-date name="from_day" :label="__('series.reach.from')" :min="$editor->nextDay" :max="$editor->span->termLast"
            :value="$editor->nextDay" />
    </x-radio>
    <x-live-faults :of="['from_day']" />
</fieldset>
