{{-- An absence is told. to: where; who: the child's sourcedId, where it is one of several --}}
@props(['to', 'who' => null])
<form method="post" action="{{ $to }}">@csrf
    @if ($who !== null)
        <input type="hidden" name="who" value="{{ $who }}">
    @endif
    <div class="d-flex gap-2 flex-wrap align-items-end">
        <div><label class="form-label" for="from-{{ $who }}">{{ __('attendance.absence.from') }}</label>
            <input class="form-control" id="from-{{ $who }}" name="from_day" value="{{ old('from_day') }}" required size="12">
        </div>
        <div><label class="form-label" for="to-{{ $who }}">{{ __('attendance.absence.to') }}</label>
            <input class="form-control" id="to-{{ $who }}" name="last" value="{{ old('last') }}" size="12">
        </div>
        <div class="flex-grow-1"><label class="form-label" for="why-{{ $who }}">{{ __('attendance.absence.why') }}</label>
            <input class="form-control" id="why-{{ $who }}" name="why" maxlength="300" value="{{ old('why') }}">
        </div>
        <button class="btn btn-side">{{ __('attendance.absence.go') }}</button>
    </div>
    @foreach (['from_day', 'to_day', 'last', 'why'] as $field)
        @error($field)
            <div class="invalid" role="alert">{{ $message }}</div>
        @enderror
    @endforeach
</form>
