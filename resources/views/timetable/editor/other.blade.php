{{-- Patterns that are rarely chosen --}}
<details @if ($editor->isOther()) open @endif>
    <summary class="quiet">{{ __('series.other.title') }}</summary>
    <x-radio name="kind" id="k-days" value="every-days" :chosen="$editor->repeats->kind" :label="__('series.other.every')">
        <input class="form-control n" name="every_days" inputmode="numeric" aria-label="{{ __('series.other.days') }}"
            value="{{ $editor->repeats->everyDays }}">
        <span class="quiet">{{ __('series.other.calendar_days') }}</span>
    </x-radio>
    <x-radio name="kind" id="k-mw" value="month-weekday" :chosen="$editor->repeats->kind" :label="__('series.other.the')">
        <select class="form-select w-auto" name="month_nth" aria-label="{{ __('series.other.which') }}">
            @foreach (__('series.other.nth') as $n => $name)
                <option value="{{ $n }}" @selected($editor->repeats->monthNth === (string) $n)>{{ $name }}</option>
            @endforeach
        </select>
        <select class="form-select w-auto" name="month_weekday" aria-label="{{ __('series.other.weekday') }}">
            @foreach ($editor->repeats->weekdayNames as $n => $name)
                <option value="{{ $n }}" @selected($editor->repeats->monthWeekday === (string) $n)>{{ $name }}</option>
            @endforeach
        </select>
        <span class="quiet">{{ __('series.other.of_month') }}</span>
    </x-radio>
    <x-radio name="kind" id="k-md" value="month-day" :chosen="$editor->repeats->kind" :label="__('series.other.on_day')">
        <input class="form-control n" name="month_day" inputmode="numeric" aria-label="{{ __('series.other.month_day') }}"
            value="{{ $editor->repeats->monthDay }}">
        <span class="quiet">{{ __('series.other.of_month') }}</span>
    </x-radio>
    <x-radio name="kind" id="k-dates" value="dates" :chosen="$editor->repeats->kind" :label="__('series.other.on_dates')" />
    <textarea class="form-control ms-4 w-auto" name="dates" rows="2" cols="34" aria-label="{{ __('series.other.dates') }}"
        placeholder="{{ __('series.other.dates_like') }}">{{ $editor->repeats->dates }}</textarea>
    @if ($editor->repeats->imported !== null)
        <x-radio name="kind" id="k-keep" value="keep" :chosen="$editor->repeats->kind"
            :label="__('series.other.imported', ['words' => $editor->repeats->imported])" />
    @endif
</details>
