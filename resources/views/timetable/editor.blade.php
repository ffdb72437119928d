{{-- A series is planned or changed, with what it makes beside it. editor: SeriesEditor --}}
@props(['editor'])
<form id="editor" class="editor" method="post" x-data="editor" novalidate
    action="{{ $editor->series === null ? route('series.store', $editor->section) : route('series.update', [$editor->section,
        $editor->series]) }}"
    data-preview="{{ route('series.preview', $editor->section) }}">
    @csrf
    @if ($editor->series !== null)
        @method('put')
        <input type="hidden" name="series" value="{{ $editor->series->id }}">
        <x-drawn :of="'series:' . $editor->series->id" />
        <input type="hidden" name="plan_touched" value="{{ old('plan_touched') }}">
    @endif
    <input type="hidden" name="sure_start_time" value="{{ $editor->time->sureStart }}">
    <input type="hidden" name="sure_end_time" value="{{ $editor->time->sureEnd }}">
    <div>
        <h2 class="mb-2">
            {{ $editor->series === null ? __('series.new') : __('series.change', ['title' => $editor->series->title]) }}</h2>
        <fieldset>
            <legend>{{ __('series.title') }}</legend>
            <input class="form-control" name="title" aria-label="{{ __('series.title') }}" maxlength="120" value="{{ $editor->title }}"
                placeholder="{{ $editor->section->title }}">
            <x-live-faults :of="['title']" />
        </fieldset>
        @include('timetable.editor.meets')
        @include('timetable.editor.times')
        <fieldset>
            <legend>{{ __('series.first_day') }}</legend>
            <x-date name="starts_on" :label="__('series.first_day')" :min="$editor->span->termFirst" :max="$editor->span->termLast"
                :value="$editor->span->firstDay" />
            <x-live-faults :of="['starts_on']" />
        </fieldset>
        @include('timetable.editor.ends')
        @if ($editor->nextDay !== null)
            @include('timetable.editor.reach')
        @endif
        <div class="inline">
            <button class="btn btn-main">{{ $editor->series === null ? __('series.plan') : __('series.save') }}</button><a
                class="btn btn-side" href="{{ route('section', $editor->section) }}">{{ __('series.cancel') }}</a>
            @if ($editor->series !== null)
                <button class="btn btn-wrong ms-auto" form="delete-series">{{ __('series.delete') }}</button>
            @endif
        </div>
    </div>
    @include('timetable.editor.made')
</form>
@if ($editor->series !== null)
    <form id="delete-series" method="post" action="{{ route('series.destroy', [$editor->section, $editor->series]) }}">
        @csrf
        @method('delete')
    </form>
@endif
