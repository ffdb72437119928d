<x-app title="Read calendars">
    <div class="bar">
        <h1>Read calendars</h1>
        <div class="sum">nothing is saved before you have seen what is in it</div>
    </div>
    <div class="columns mt-3">
        <form method="post" action="{{ route('events.store') }}" enctype="multipart/form-data">@csrf
            <label class="form-label" for="calendar">A calendar file (.ics)</label><input class="form-control mb-2" type="file"
                id="calendar" name="calendar" accept=".ics,text/calendar" required>
            @error('calendar')
                <div class="invalid mb-2" role="alert">{{ $message }}</div>
            @enderror
            <label class="form-label" for="teacher">Whose calendar it is</label><select class="form-select mb-2 w-auto" id="teacher"
                name="teacher">
                <option value="">the school's</option>
                @foreach ($teachers as $t)
                    <option value="{{ $t->sourced_id }}">{{ $t->family_name }}, {{ $t->given_name }}</option>
                @endforeach
            </select>
            @error('teacher')
                <div class="invalid mb-2" role="alert">{{ $message }}</div>
            @enderror
            <button class="btn btn-main mt-2">Look at it</button>
        </form>
        <div>
            <section class="card-s">
                <h2>What becomes of it</h2>
                <dl class="pairs">
                    <dt>Classes</dt>
                    <dd>An event whose summary or category names a section by its code becomes a series of that section, with its
                        exceptions.</dd>
                    <dt>The rest</dt>
                    <dd>What names no section is matched by hand, or left out. Of a teacher's own calendar it is kept as busy time, which
                        free times avoid.</dd>
                    <dt>Again</dt>
                    <dd>The same event again changes the series that it made before.</dd>
                </dl>
            </section>
        </div>
    </div>
</x-app>
