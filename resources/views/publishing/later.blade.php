{{-- A run that begins later, with what differs then. --}}
<details class="more" @if ($errors->hasAny(['at', 'date', 'time'])) open @endif>
    <summary class="btn btn-side">{{ __('publishing.later.title') }}</summary>
    <div class="drop up">
        <p class="quiet small mb-2">{{ __('publishing.later.hint') }}</p>
        <label class="form-label" for="later-date">{{ __('publishing.later.day') }}</label>
        <input class="form-control mb-2" id="later-date" name="date" value="{{ old('date') }}" autocomplete="off">
        <label class="form-label" for="later-time">{{ __('publishing.later.time') }}</label>
        <input class="form-control mb-2" id="later-time" name="time" value="{{ old('time') }}" autocomplete="off">
        @foreach (['at', 'date', 'time'] as $field)
            @error($field)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button class="btn btn-main" name="later" value="1">{{ __('publishing.later.do') }}</button>
    </div>
</details>
