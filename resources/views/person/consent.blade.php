{{-- Whether somebody agreed to be recorded, as the office has it --}}
<x-card :title="__('recordings.consent.title')">
    <form class="d-flex gap-2 align-items-center" method="post" action="{{ route('person.recorded', $page->who->sourced_id) }}">@csrf
        @method('put')
        <select class="form-select w-auto" name="agreed" aria-label="{{ __('recordings.consent.title') }}">
            @foreach (['yes' => true, 'no' => false, 'unknown' => null] as $word => $value)
                <option value="{{ $word }}" @selected($page->who->may_be_recorded === $value)>{{ __("recordings.consent.$word") }}</option>
            @endforeach
        </select>
        <button class="btn btn-side">{{ __('recordings.consent.keep') }}</button>
        @if ($page->who->recorded_said_on !== null)
            <span
                class="quiet">{{ __('recordings.consent.since', ['day' => \Nomada\App\View\DateText::of(
                    $page->who->recorded_said_on)]) }}</span>
        @endif
    </form>
</x-card>
