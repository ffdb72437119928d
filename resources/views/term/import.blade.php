<x-app title="Import a school">
    <div class="bar">
        <h1>Import a school</h1>
        <div class="sum">nothing is saved before you have seen what is in it</div>
    </div>
    <div class="columns mt-3">
        <form method="post" action="{{ route('import.store') }}" enctype="multipart/form-data">
            @csrf
            <label class="form-label" for="files">A zip, or the files themselves</label>
            <input class="form-control mb-1" type="file" id="files" name="files[]" multiple required accept=".zip,.csv,.ics">
            @error('files')
                <div class="invalid mb-2" role="alert">{{ $message }}</div>
            @enderror
            @foreach ($errors->get('files.*') as $messages)
                <div class="invalid mb-2" role="alert">{{ $messages[0] }}</div>
            @endforeach
            @error('file')
                <div class="invalid mb-2" role="alert">{{ $message }}</div>
            @enderror
            <button class="btn btn-main mt-2">Look at it</button>
        </form>
        <div>
            @if ($last)
                <section class="card-s">
                    <h2>{{ __('import.last') }}</h2>
                    <p class="mb-1">{{ $last->words }}
                        <span class="quiet">{{ $last->person?->shortName() ?? __('import.import') }}</span>
                    </p>
                    @error('import')
                        <div class="invalid mb-2" role="alert">{{ $message }}</div>
                    @enderror
                    @error('change')
                        <div class="invalid mb-2" role="alert">{{ $message }}</div>
                    @enderror
                    <form method="post" action="{{ route('import.undo', $last->id) }}">
                        @csrf
                        <button class="btn btn-side">{{ __('import.back') }}</button>
                    </form>
                </section>
            @endif
            <section class="card-s">
                <h2>What is read</h2>
                <p><a href="{{ route('begin.sample') }}">{{ __('begin.files.sample') }}</a></p>
                <dl class="pairs">
                    <dt>OneRoster 1.1</dt>
                    <dd>orgs, academicSessions, courses, classes, users, enrollments (.csv)</dd>
                    <dt>closures.ics</dt>
                    <dd>closed days, one event each</dd>
                    <dt>timetable.csv</dt>
                    <dd>one series a row: class_sourced_id, title, dtstart, minutes, tzid, rrule</dd>
                </dl>
                <p class="quiet mt-2">The same again changes nothing. What was changed here since stays, unless the row itself has changed.
                </p>
            </section>
        </div>
    </div>
</x-app>
