{{-- A correction beside what was computed. page: SessionPage --}}
<details class="mt-2" @if ($errors->hasAny(['who', 'status', 'minutes', 'why'])) open @endif>
    <summary>{{ __('presence.session.correct') }}</summary>
    <form class="mt-2 d-flex gap-2 flex-wrap align-items-end" method="post"
        action="{{ route('attendance.correct', [$page->section, $page->session->id]) }}">@csrf
        <div><label class="form-label" for="who">{{ __('presence.section.student') }}</label>
            <select class="form-select" id="who" name="who">
                @foreach ($page->lines as $line)
                    <option value="{{ $line->pupil->sourcedId }}" @selected(old(
                        'who') === $line->pupil->sourcedId)>{{ $line->pupil->name }}</option>
                @endforeach
            </select>
        </div>
        <div><label class="form-label" for="status">{{ __('presence.correct.status') }}</label>
            <select class="form-select" id="status" name="status">
                @foreach (Nomada\Core\Presence\Status::cases() as $s)
                    <option value="{{ $s->value }}" @selected(old('status') === $s->value)>{{ __("attendance.status.$s->value") }}</option>
                @endforeach
            </select>
        </div>
        <div><label class="form-label" for="minutes">{{ __('presence.correct.minutes') }}</label>
            <input class="form-control n" id="minutes" name="minutes" inputmode="numeric" value="{{ old('minutes') }}">
        </div>
        <div class="flex-grow-1"><label class="form-label" for="why">{{ __('presence.correct.why') }}</label>
            <input class="form-control" id="why" name="why" maxlength="300" value="{{ old('why') }}">
        </div>
        <button class="btn btn-side">{{ __('presence.correct.save') }}</button>
    </form>
    @foreach (['who', 'status', 'minutes', 'why'] as $field)
        @error($field)
            <div class="invalid" role="alert">{{ $message }}</div>
        @enderror
    @endforeach
</details>
@foreach ($page->lines as $line)
    @if ($line->attendance?->correction !== null)
        <p class="mt-2 mb-0"><b>{{ $line->pupil->name }}</b>
            {{ __('presence.section.corrected', ['why' => $line->attendance->correction->why]) }}
            <span class="quiet">{{ $line->attendance->correction->by }} ·
                {{ __('presence.session.computed', [
                    'status' => __('attendance.status.' . $line->attendance->computed->value),
                    'minutes' => intdiv($line->attendance->seconds, 60),
                ]) }}</span>
            <x-act :to="route('attendance.as-computed', [$page->section, $page->session->id, $line->pupil->sourcedId])" method="delete"
                class="btn-plain py-0" :do="__('presence.session.take_back')" :about="$line->pupil->name" />
        </p>
    @endif
@endforeach
