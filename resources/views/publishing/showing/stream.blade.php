{{-- How it stands in the class stream. page: ShowingPage --}}
<x-card :title="__('showing.stream')">
    <x-choice name="answers" :label="__('showing.answers')" :chosen="(string) $page->showing->answers"
        :own="in_array('answers', $page->own, true)" :of="__('showing.answer')" />
    @if ($page->section === null)
        <x-choice name="started_told" :label="__('showing.started.label')" :chosen="$page->startedTold" :of="__('showing.started.by')" />
    @endif
    @if ($page->section !== null)
        <fieldset class="mb-3">
            <legend class="form-label">{{ __('showing.for') }}</legend>
            @foreach (['all', 'chosen'] as $audience)
                <label class="check"><input class="form-check-input" type="radio" name="audience" value="{{ $audience }}"
                        @checked(old('audience', $page->showing->for === null ? 'all' : 'chosen') === $audience)>
                    {{ __("showing.$audience") }}</label>
            @endforeach
            @if ($page->students === [])
                <p class="quiet mb-0">{{ __('showing.no_students') }}</p>
            @else
                <div class="choices" role="group" aria-label="{{ __('showing.students') }}">
                    @foreach ($page->students as $student)
                        <label class="check"><input class="form-check-input" type="checkbox" name="people[]"
                                value="{{ $student->sourcedId }}" @checked(in_array($student->sourcedId, old('people', $page->showing->for
                                    ?? []), true))>
                            {{ $student->name }}</label>
                    @endforeach
                </div>
            @endif
            <div class="invalid" role="alert">{{ $errors->first('for') }}</div>
        </fieldset>
    @endif
</x-card>
