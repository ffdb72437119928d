{{-- What of the week is shown. filter: WeekFilter; years; keep: what else stands in the address --}}
@props(['filter', 'years', 'keep'])
<details class="more">
    <summary @class(['pill', 'on' => $filter->isAny()])>
        {{ $filter->isAny()
            ? __('week.shown', [
                'what' => implode(
                    ', ',
                    array_filter([$filter->words, $filter->year === '' ? '' : "Y$filter->year", $filter->clashes ? __('week.clashes')
                        : '']),
                ),
            ])
            : __('week.show') }}
    </summary>
    <form class="drop" method="get" action="{{ route('timetable') }}">
        @foreach ($keep as $name => $value)
            <input type="hidden" name="{{ $name }}" value="{{ $value }}">
        @endforeach
        <label class="form-label" for="week-words">{{ __('week.words') }}</label>
        <input class="form-control" id="week-words" name="words" value="{{ $filter->words }}" aria-describedby="week-words-hint">
        <p class="quiet small" id="week-words-hint">{{ __('week.words_hint') }}</p>
        <label class="form-label" for="week-year">{{ __('week.year') }}</label>
        <select class="form-select mb-2" id="week-year" name="year">
            <option value="">{{ __('week.years') }}</option>
            @foreach ($years as $year)
                <option value="{{ $year }}" @selected($filter->year === (string) $year)>Y{{ $year }}</option>
            @endforeach
        </select>
        <label class="check">
            <input class="form-check-input mt-0" type="checkbox" name="clashes" value="1" @checked($filter->clashes)>
            {{ __('week.clashes') }}
        </label>
        <button class="btn btn-main">{{ __('week.go') }}</button>
        @if ($filter->isAny())
            <a class="d-block text-center mt-2" href="{{ route('timetable', $keep) }}">{{ __('week.whole') }}</a>
        @endif
    </form>
</details>
