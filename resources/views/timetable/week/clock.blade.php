{{-- On whose clock the day is shown too --}}
<form class="inline mt-2 print-none" method="get" action="{{ route('timetable') }}">
    <input type="hidden" name="day" value="{{ $page->one->iso() }}">
    <input type="hidden" name="by" value="{{ $page->by }}">
    <label class="quiet" for="clock-of">{{ __('week.clock_of') }}</label>
    <select class="form-select w-auto" id="clock-of" name="clock">
        <option value="">{{ __('week.school_only') }}</option>
        @foreach ($page->other->people as $id => $name)
            <option value="{{ $id }}" @selected((string) $id === $page->other->clockOf)>{{ $name }}</option>
        @endforeach
    </select>
    <button class="btn btn-side">{{ __('week.go') }}</button>
</form>
