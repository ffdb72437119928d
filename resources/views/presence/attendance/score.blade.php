{{-- What every score is made of, and how one is changed. page: SectionPage --}}
<details class="mt-2" @if ($errors->hasAny(['points', 'why', 'who'])) open @endif>
    <summary>{{ __('presence.score.made_of') }}</summary>
    <form class="d-flex gap-2 flex-wrap align-items-end mt-2" method="post" action="{{ route('attendance.score', $page->section) }}">@csrf
        @method('put')
        <div><label class="form-label" for="score-who">{{ __('presence.section.student') }}</label>
            <select class="form-select" id="score-who" name="who">
                @foreach ($page->rows as $row)
                    <option value="{{ $row->pupil->sourcedId }}" @selected(old(
                        'who') === $row->pupil->sourcedId)>{{ $row->pupil->name }}</option>
                @endforeach
            </select>
        </div>
        <div><label class="form-label" for="points">{{ __('presence.score.points') }}</label>
            <input class="form-control n" id="points" name="points" inputmode="decimal" value="{{ old('points') }}">
        </div>
        <div class="flex-grow-1"><label class="form-label" for="score-why">{{ __('presence.correct.why') }}</label>
            <input class="form-control" id="score-why" name="why" maxlength="300" value="{{ old('why') }}">
        </div>
        <button class="btn btn-side">{{ __('presence.score.save') }}</button>
    </form>
    @foreach (['points', 'why', 'who'] as $field)
        @error($field)
            <div class="invalid" role="alert">{{ $message }}</div>
        @enderror
    @endforeach
    <table class="table-plain mt-2">
        <thead>
            <tr>
                <th scope="col">{{ __('presence.section.student') }}</th>
                @foreach ($page->formula->parts as $part)
                    <th scope="col" class="num">{{ __('presence.score.measures.' . $part->measure->value) }}</th>
                @endforeach
                <th scope="col" class="num">{{ __('presence.section.score') }}</th>
                <th scope="col">{{ __('presence.score.reason') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->rows as $row)
                <tr>
                    <th scope="row">{{ $row->pupil->name }}</th>
                    @foreach ($page->formula->parts as $part)
                        <td class="num">{{ number_format($row->score->parts[$part->measure->value], 1) }}</td>
                    @endforeach
                    <td class="num"><b>{{ number_format($row->score->points(), 1) }}</b></td>
                    <td>{{ $row->score->changed === null ? '' : __('presence.score.because', ['why' => $row->score->why]) . ' · '
                        . $row->score->by }}
                    </td>
                </tr>
            @endforeach
        </tbody>
    </table>
</details>
