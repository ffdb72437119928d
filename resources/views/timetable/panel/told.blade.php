{{-- Teacher, title and note of this one alone --}}
<form method="post" action="{{ route('session.tell', [$panel->section, $panel->series, $panel->session]) }}">@csrf
    @method('put')
    <x-drawn :of="'told:' . $panel->session->id" />
    <h3>{{ __('session.told.title') }}</h3>
    <label class="form-label" for="one-teacher">{{ __('session.told.teacher') }}</label>
    <select class="form-select mb-2" id="one-teacher" name="teacher">
        <option value="">{{ __('session.told.usual') }}</option>
        @foreach ($panel->teachers as $id => $name)
            <option value="{{ $id }}" @selected($panel->teacher === (string) $id)>{{ $name }}</option>
        @endforeach
    </select>
    <label class="form-label" for="one-title">{{ __('session.told.name') }}</label>
    <input class="form-control mb-2" id="one-title" name="title" maxlength="120" value="{{ old('title', $panel->session->title) }}"
        placeholder="{{ $panel->session->topic }}">
    <label class="form-label" for="one-note">{{ __('session.told.note') }}</label>
    <input class="form-control mb-2" id="one-note" name="note" maxlength="400" value="{{ old('note', $panel->session->note) }}">
    <x-faults :of="['teacher', 'title', 'note']" />
    <button class="btn btn-side">{{ __('session.told.do') }}</button>
</form>
