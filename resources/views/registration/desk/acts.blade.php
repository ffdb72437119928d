{{-- What can be decided of one registrant --}}
@if ($line->to !== null)
    <x-act :to="route('desk.send', $line->id)" :with="['section' => $line->to]" class="btn-main"
        :do="__('registration.desk.send_to', ['section' => $line->toName])" :about="$line->who()" />
@endif
<x-act :to="route('desk.accept', $line->id)" :class="$line->isSafe ? 'btn-main' : 'btn-side'" data-key="a"
    :do="__('registration.desk.accept')" :about="$line->who()" />
<details class="more">
    <summary class="btn btn-side" data-key="d">{{ __('registration.desk.decline') }}…<span class="visually-hidden">
            {{ $line->who() }}</span></summary>
    <form class="drop" method="post" action="{{ route('desk.decline', $line->id) }}">@csrf
        <label for="reason-{{ $line->id }}">{{ __('registration.desk.because') }}</label>
        <input class="form-control" id="reason-{{ $line->id }}" name="reason" list="reasons" maxlength="300" required>
        <button class="btn btn-wrong mt-2">{{ __('registration.desk.decline') }}</button>
    </form>
</details>
@if (count($queue->sections) > 1 && $line->to === null)
    <details class="more">
        <summary class="btn btn-side" data-key="s">{{ __('registration.desk.send') }}<span class="visually-hidden">
                {{ __('registration.desk.send_about', ['name' => $line->who()]) }}</span></summary>
        <form class="drop" method="post" action="{{ route('desk.send', $line->id) }}">@csrf
            <label for="to-{{ $line->id }}">{{ __('registration.desk.to_section') }}</label>
            <input class="form-control" id="to-{{ $line->id }}" name="section" list="sections" required maxlength="80"
                placeholder="{{ __('registration.desk.its_code') }}">
            <button class="btn btn-side mt-2">{{ __('registration.desk.send_there') }}</button>
        </form>
    </details>
@endif
