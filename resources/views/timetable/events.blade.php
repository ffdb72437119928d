@props(['teachers'])
<x-app :title="__('events.title')">
    <x-page-head :title="__('events.title')" :sum="__('import.start.sum')" />
    <div class="columns mt-3">
        <form method="post" action="{{ route('events.store') }}" enctype="multipart/form-data">@csrf
            <label class="form-label" for="calendar">{{ __('events.file') }}</label>
            <input class="form-control mb-2" type="file" id="calendar" name="calendar" accept=".ics,text/calendar" required>
            <x-faults class="mb-2" :of="['calendar']" />
            <label class="form-label" for="teacher">{{ __('events.of') }}</label>
            <select class="form-select mb-2 w-auto" id="teacher" name="teacher">
                <option value="">{{ __('events.school') }}</option>
                @foreach ($teachers as $teacher)
                    <option value="{{ $teacher->sourced_id }}">{{ $teacher->sortedName() }}</option>
                @endforeach
            </select>
            <x-faults class="mb-2" :of="['teacher']" />
            <button class="btn btn-main mt-2">{{ __('import.start.do') }}</button>
        </form>
        <div>
            <x-card :title="__('events.becomes.title')">
                <dl class="pairs">
                    @foreach (['classes', 'rest', 'again'] as $part)
                        <dt>{{ __("events.becomes.$part") }}</dt>
                        <dd>{{ __("events.becomes.{$part}_words") }}</dd>
                    @endforeach
                </dl>
            </x-card>
        </div>
    </div>
</x-app>
