@props(['page'])
<x-app :title="__('presence.choose.title', ['section' => $page->section->name()])">
    <x-page-head :title="__('presence.choose.title', ['section' => $page->section->name()])">
        <a class="pill" href="{{ route('today') }}">{{ __('presence.choose.back') }}</a>
    </x-page-head>
    <p class="quiet mt-2">{{ __('presence.choose.hint') }}</p>
    @if ($page->students === [])
        <x-empty :title="__('presence.choose.nobody')" />
    @else
        <form method="post" action="{{ route('today.start') }}">@csrf
            <input type="hidden" name="section" value="{{ $page->section->sourced_id }}">
            <input type="hidden" name="choosing" value="1">
            <input type="hidden" name="takes_topic" value="{{ old('takes_topic', $page->takesTopic ? 1 : 0) }}">
            <fieldset class="mb-3">
                <legend class="form-label">{{ trans_choice('presence.choose.students', count($page->students)) }}</legend>
                <div class="choices">
                    @foreach ($page->students as $student)
                        <label class="check">
                            <input class="form-check-input mt-0" type="checkbox" name="chosen[]" value="{{ $student->sourced_id }}"
                                @checked(in_array($student->sourced_id, (array) old('chosen', []), true))>
                            {{ $student->name() }}
                        </label>
                    @endforeach
                </div>
            </fieldset>
            @foreach (['chosen', 'section', 'minutes', 'day', 'move_day', 'move_start', 'move_end'] as $field)
                @error($field)
                    <div class="invalid" role="alert">{{ $message }}</div>
                @enderror
            @endforeach
            <label class="form-label" for="minutes">{{ __('presence.start.minutes') }}</label>
            <div class="d-flex gap-2">
                <input class="form-control w-auto" id="minutes" name="minutes" inputmode="numeric" size="4"
                    value="{{ old('minutes', $page->minutes) }}">
                <button class="btn btn-main">{{ __('presence.start.go') }}</button>
            </div>
        </form>
    @endif
</x-app>
