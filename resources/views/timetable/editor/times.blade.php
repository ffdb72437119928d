{{-- From when to when --}}
<fieldset>
    <legend>{{ __('series.times.title') }}</legend>
    @if ($editor->time->periods !== [])
        <x-radio name="at" id="at-period" value="period" :chosen="$editor->time->at" :label="__('series.times.in_period')">
            <select class="form-select w-auto" name="period" aria-label="{{ __('series.times.period') }}">
                @foreach ($editor->time->periods as $name => $words)
                    <option value="{{ $name }}" @selected($editor->time->period === (string) $name)>{{ $words }}</option>
                @endforeach
            </select>
        </x-radio>
        <x-live-faults :of="['period']" />
    @endif
    <div class="inline">
        @if ($editor->time->periods !== [])
            <input class="form-check-input mt-0" type="radio" name="at" id="at-clock" value="clock" @checked($editor->time->at === 'clock')
                aria-label="{{ __('series.times.at_clock') }}">
        @endif
        <x-from-to :names="['start_time', 'end_time']" :from="$editor->time->start" :to="$editor->time->end" :like="['9:05', '9:50']" />
        <span class="quiet">{{ __('series.times.of', ['place' => $editor->time->zone]) }}</span>
    </div>
    <x-live-faults :of="['start_time', 'end_time']" />
</fieldset>
