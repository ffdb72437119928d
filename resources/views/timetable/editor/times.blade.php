{{-- From when to when --}}
<fieldset>
    <legend>{{ __('series.times.title') }}</legend>
    @if ($editor->periods !== [])
        <x-radio name="at" id="at-period" value="period" :chosen="$editor->at" :label="__('series.times.in_period')">
            <select class="form-select w-auto" name="period" aria-label="{{ __('series.times.period') }}">
                @foreach ($editor->periods as $name => $words)
                    <option value="{{ $name }}" @selected($editor->period === (string) $name)>{{ $words }}</option>
                @endforeach
            </select>
        </x-radio>
        <x-live-faults :of="['period']" />
    @endif
    <div class="inline">
        @if ($editor->periods !== [])
            <input class="form-check-input mt-0" type="radio" name="at" id="at-clock" value="clock" @checked($editor->at === 'clock')
                aria-label="{{ __('series.times.at_clock') }}">
        @endif
        <x-from-to :names="['start_time', 'end_time']" :from="$editor->start" :to="$editor->end" :like="['9:05', '9:50']" />
        <span class="quiet">{{ __('series.times.of', ['place' => $editor->zone]) }}</span>
    </div>
    <x-live-faults :of="['start_time', 'end_time']" />
</fieldset>
