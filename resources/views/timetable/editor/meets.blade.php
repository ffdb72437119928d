{{-- On which days it meets --}}
<fieldset>
    <legend>{{ __('series.meets.title') }}</legend>
    <x-radio name="kind" id="k-weekly" value="weekly" :chosen="$editor->repeats->kind" :label="__('series.meets.weekly')" quiet>
        <x-ticks name="weekdays" id="wd" :of="$editor->repeats->weekdays" />
    </x-radio>
    <div class="choice ps-4">
        <label for="every" class="quiet">{{ __('series.meets.every') }}</label>
        <input class="form-control n" id="every" name="every" inputmode="numeric" value="{{ $editor->repeats->every }}">
        <span class="quiet">{{ __('series.meets.weeks') }}</span>
    </div>
    <x-radio name="kind" id="k-open" value="open-days" :chosen="$editor->repeats->kind" :label="__('series.meets.open_days')" />
    @if ($editor->repeats->rotation !== null)
        <x-radio name="kind" id="k-rotation" value="rotation" :chosen="$editor->repeats->kind"
            :label="__($editor->repeats->rotation->byWeek ? 'series.meets.rotation_week' : 'series.meets.rotation_day')">
            <x-ticks name="labels" id="rl" :of="$editor->repeats->rotation->labels" />
        </x-radio>
        @if ($editor->repeats->rotation->byWeek)
            <div class="choice ps-4">
                <span class="quiet">{{ __('series.meets.on') }}</span>
                <x-ticks name="rotation_weekdays" id="rw" :of="$editor->repeats->rotation->weekdays" />
            </div>
        @endif
        <x-live-faults :of="['rotation']" />
    @endif
    @include('timetable.editor.other')
    <x-live-faults :of="['every_days', 'month_nth', 'month_weekday', 'month_day', 'dates', 'weekdays', 'every', 'kind']" />
</fieldset>
