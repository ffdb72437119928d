{{-- Who may see it, for whoever hosts the session. page: PlayerPage --}}
<x-card :title="__('recordings.release.title')">
    <p @class([
        'todo' => $page->disagree !== [],
        'quiet' => $page->disagree === [],
    ])>
        {{ $page->disagree === []
            ? __('recordings.release.agree')
            : trans_choice('recordings.release.disagree', count($page->disagree), ['names' => implode(', ', $page->disagree)]) }}
    </p>
    <form method="post" action="{{ route('recording.release', $page->recording->id) }}">@csrf @method('put')
        <fieldset class="mb-2">
            <legend>{{ __('recordings.release.which') }}</legend>
            @foreach ($page->parts as $part)
                <label class="me-3"><input class="form-check-input" type="checkbox" name="parts[]" value="{{ $part->n }}"
                        @checked($part->isReleased || $page->recording->state->value !== 'released')> {{ $part->n }}</label>
            @endforeach
        </fieldset>
        <fieldset class="mb-2">
            <legend>{{ __('recordings.release.whom') }}</legend>
            @foreach (['all', 'absent', 'chosen'] as $whom)
                <label class="d-block"><input class="form-check-input" type="radio" name="whom" value="{{ $whom }}"
                        @checked($whom === ($page->readers === [] ? 'all' : 'chosen'))> {{ __("recordings.release.$whom") }}</label>
            @endforeach
            <label class="visually-hidden" for="people">{{ __('recordings.release.chosen') }}</label>
            <select class="form-select mt-1" id="people" name="people[]" multiple size="4">
                @foreach ($page->pupils as $id => $name)
                    <option value="{{ $id }}" @selected(in_array($id, $page->readers, true))>{{ $name }}</option>
                @endforeach
            </select>
        </fieldset>
        <label class="form-label" for="word">{{ __('recordings.release.word') }}</label>
        <input class="form-control mb-2" id="word" name="word" maxlength="60" autocomplete="off">
        @foreach (['parts', 'people', 'whom', 'form'] as $field)
            @error($field)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button
            class="btn btn-main">{{ __($page->recording->state->value === 'released' ? 'recordings.release.again'
                : 'recordings.release.go') }}</button>
    </form>
    @if ($page->recording->state->value === 'released')
        <p class="mt-2 mb-0"><x-act :to="route('recording.withdraw', $page->recording->id)" method="delete" class="btn-wrong"
            :do="__('recordings.release.withdraw')" /></p>
    @endif
    @if ($page->recording->keeps_until !== null)
        <p class="quiet small mt-2 mb-0">
            {{ __('recordings.release.kept', ['day' => Nomada\App\View\DateText::of($page->recording->keeps_until)]) }}</p>
    @endif
    <details class="mt-2" @error('transcript') open @enderror>
        <summary>{{ __('recordings.transcript.keep') }}</summary>
        <form method="post" action="{{ route('recording.keep-transcript', $page->recording->id) }}" enctype="multipart/form-data">@csrf
            <label class="form-label" for="transcript">{{ __('recordings.transcript.file') }}</label>
            <input class="form-control mb-1" type="file" id="transcript" name="transcript" accept=".vtt,text/vtt">
            <div class="invalid" role="alert">{{ $errors->first('transcript') }}</div>
            <button class="btn btn-side">{{ __('recordings.transcript.go') }}</button>
        </form>
    </details>
</x-card>
