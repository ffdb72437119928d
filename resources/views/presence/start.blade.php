{{-- A session that begins now, outside the timetable. sections: the names of those that whoever looks teaches, by id --}}
<details class="more" @if ($errors->hasAny(['section', 'minutes', 'start', 'day', 'move_day', 'move_start', 'move_end'])) open @endif>
    <summary class="pill">{{ __('presence.start.title') }}</summary>
    <form class="drop" method="post" action="{{ route('today.start') }}">@csrf
        <p class="quiet small mb-2">{{ __('presence.start.hint') }}</p>
        <label class="form-label" for="start-section">{{ __('presence.start.section') }}</label>
        <select class="form-select mb-2" id="start-section" name="section">
            @foreach ($sections as $id => $name)
                <option value="{{ $id }}" @selected(old('section') === (string) $id)>{{ $name }}</option>
            @endforeach
        </select>
        <label class="form-label" for="start-minutes">{{ __('presence.start.minutes') }}</label>
        <input class="form-control mb-2" id="start-minutes" name="minutes" inputmode="numeric" value="{{ old('minutes', 45) }}">
        <fieldset class="mb-2">
            <legend class="form-label">{{ __('presence.start.whom') }}</legend>
            @foreach (['all', 'some'] as $whom)
                <label class="check">
                    <input class="form-check-input mt-0" type="radio" name="whom" value="{{ $whom }}"
                        @checked(old('whom', 'all') === $whom)>
                    {{ __("presence.start.$whom") }}
                </label>
            @endforeach
        </fieldset>
        <label class="check mb-2"><input class="form-check-input mt-0" type="checkbox" name="takes_topic" value="1"
                @checked(old('takes_topic'))> {{ __('presence.start.topic') }}</label>
        @foreach (['section', 'minutes', 'start', 'day', 'move_day', 'move_start', 'move_end'] as $field)
            @error($field)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button class="btn btn-main">{{ __('presence.start.go') }}</button>
    </form>
</details>
