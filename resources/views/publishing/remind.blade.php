{{-- How somebody is reminded. to: address; label; choices: Reminder[]; value: the choice; empty: words of none, or null --}}
@props(['to', 'label', 'choices', 'value', 'empty' => null])
<form class="d-flex gap-2 align-items-center flex-wrap" method="post" action="{{ $to }}">@csrf @method('put')
    <label for="remind">{{ $label }}</label>
    <select class="form-select w-auto" id="remind" name="remind">
        @if ($empty !== null)
            <option value="">{{ $empty }}</option>
        @endif
        @foreach ($choices as $choice)
            <option value="{{ $choice->value }}" @selected($value === $choice->value)>
                {{ __("remind.choices.$choice->value") }}</option>
        @endforeach
    </select>
    <button class="btn btn-side">{{ __('remind.keep') }}</button>
    @error('remind')
        <span class="invalid" role="alert">{{ $message }}</span>
    @enderror
</form>
