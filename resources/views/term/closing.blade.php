@props(['look'])
<form class="warn" method="post" action="{{ route('closures.store') }}" role="region" aria-label="{{ __('term.closing.region') }}">
    @csrf
    <input type="hidden" name="first" value="{{ $look->closure->first->iso() }}">
    <input type="hidden" name="last" value="{{ $look->closure->last->iso() }}">
    <input type="hidden" name="reason" value="{{ $look->closure->reason }}">
    <p class="mb-1">
        <b>{{ trans_choice('term.closing.days', $look->closure->days(), [
            'reason' => $look->closure->reason,
            'first' => Say::day($look->closure->first),
            'last' => Say::day($look->closure->last),
        ]) }}</b>
        {{ trans_choice('term.closing.lost', $look->lost, ['sections' => trans_choice('term.sections', $look->sections)]) }}
        {{ trans_choice('term.closing.begun', $look->begun) }}
    </p>
    @if ($look->waiting !== [])
        <p class="mb-1">{{ trans_choice('term.closing.waiting', count($look->waiting) + $look->more) }}</p>
        <ul class="mb-1">
            @foreach ($look->waiting as $one)
                <li><b>{{ $one['section'] }}</b> {{ $one['what'] }}</li>
            @endforeach
            @if ($look->more > 0)
                <li>{{ trans_choice('term.closing.more', $look->more) }}</li>
            @endif
        </ul>
    @endif
    <span class="d-inline-flex gap-3 align-items-center flex-wrap">
        <label><input class="form-check-input" type="radio" name="then" value="lost" checked>
            {{ __('term.closing.are_lost') }}</label>
        <label><input class="form-check-input" type="radio" name="then" value="made-up"> {{ __('term.closing.make_up') }}</label>
        <button class="btn btn-main">{{ __('term.closing.close') }}</button>
        <a class="btn btn-side" href="{{ route('term') }}">{{ __('term.closing.leave') }}</a>
    </span>
</form>
