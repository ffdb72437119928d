{{-- What a score is made of, and how it is changed. row: PupilRow; page: SectionPage --}}
<div class="drop text-start">
    @foreach ($page->formula->parts as $part)
        <p class="mb-0">{{ __('presence.score.measures.' . $part->measure->value) }}
            <b>{{ number_format($row->score->parts[$part->measure->value], 1) }}</b>
        </p>
    @endforeach
    @if ($row->score->changed !== null)
        <p class="todo mb-1">{{ __('presence.score.because', ['why' => $row->score->why]) }} · {{ $row->score->by }}</p>
    @endif
    @can('serve', $page->section)
        <form method="post" action="{{ route('attendance.score', [$page->section, $row->pupil->sourcedId]) }}">@csrf @method('put')
            <label class="form-label" for="p-{{ $row->pupil->id }}">{{ __('presence.score.points') }}</label>
            <input class="form-control mb-1" id="p-{{ $row->pupil->id }}" name="points" inputmode="decimal" value="{{ $row->score->changed }}">
            <label class="form-label" for="y-{{ $row->pupil->id }}">{{ __('presence.correct.why') }}</label>
            <input class="form-control mb-1" id="y-{{ $row->pupil->id }}" name="why" maxlength="300">
            <button class="btn btn-side">{{ __('presence.score.save') }}<span class="visually-hidden">
                    {{ __('presence.score.change', ['name' => $row->pupil->name]) }}</span></button>
        </form>
    @endcan
</div>
