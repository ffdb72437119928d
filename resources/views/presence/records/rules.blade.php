{{-- From when on somebody is late, present, absent; how long recordings are kept. page: Records --}}
<details class="more" @if ($errors->hasAny(['late_after', 'present_from', 'absent_under', 'recordings_days',
    'substitute_days'])) open @endif>
    <summary class="pill">{{ __('presence.rules.title') }}</summary>
    <form class="drop" method="post" action="{{ route('records.rules') }}">@csrf @method('put')
        @foreach ([['late_after', $page->rules->lateAfter, 'late', 'min'], ['present_from', $page->rules->presentFrom, 'present',
            'percent'], ['absent_under', $page->rules->absentUnder, 'absent', 'percent'], ['recordings_days', $page->keepsDays, 'keep',
            'days'], ['substitute_days', $page->substituteDays, 'substitutes', 'days']] as [$name, $value, $label, $unit])
            <p class="mb-1"><label for="r-{{ $name }}">{{ __("presence.rules.$label") }}</label>
                <input class="form-control n d-inline-block" id="r-{{ $name }}" name="{{ $name }}" inputmode="numeric"
                    size="4" value="{{ old($name, $value) }}"> {{ __("presence.rules.$unit") }}
            </p>
            @error($name)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button class="btn btn-main mt-1">{{ __('presence.rules.save') }}</button>
    </form>
</details>
