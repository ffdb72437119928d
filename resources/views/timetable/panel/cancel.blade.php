{{-- It is not held: an extra one is taken out, another is cancelled --}}
@if ($panel->session->is_extra)
    <form method="post" action="{{ route('session.remove', [$panel->section, $panel->series, $panel->session]) }}" class="mt-3">
        @csrf
        @method('delete')
        <button class="btn btn-wrong">{{ __('session.cancel.extra') }}</button>
    </form>
@else
    <form method="post" action="{{ route('session.cancel', [$panel->section, $panel->series, $panel->session]) }}" class="mt-3">
        @csrf
        <x-drawn :of="'place:' . $panel->session->id" />
        <label class="form-label" for="one-reason">{{ __('session.cancel.because') }}</label>
        <div class="inline">
            <input class="form-control flex-fill w-auto" id="one-reason" name="reason" maxlength="160"
                placeholder="{{ __('session.cancel.read') }}"><button class="btn btn-wrong">{{ __('session.cancel.do') }}</button>
        </div>
        @if ($panel->handsTopicOn())
            <label class="d-block mt-1"><input class="form-check-input" type="checkbox" name="keeps_topic" value="1">
                {{ __('session.cancel.topic') }}</label>
        @endif
    </form>
@endif
