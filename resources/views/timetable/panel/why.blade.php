{{-- For the coordinator, where a change of a teacher becomes a request. note: null for a coordinator --}}
@if (($note ?? null) !== null)
    <label class="form-label mt-2" for="why">{{ __('requests.why') }}</label>
    <input class="form-control" id="why" name="why" maxlength="300" value="{{ old('why') }}">
@endif
