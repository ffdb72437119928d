{{-- One labelled field with its fault. name, label; hint beneath it; value as it stands (never of a password) --}}
@props(['name', 'label', 'hint' => null, 'value' => '', 'type' => 'text', 'needed' => true])
<div class="mb-3"><label class="form-label" for="f-{{ $name }}">{{ $label }}</label>
    <input {{ $attributes->merge(['class' => 'form-control']) }} id="f-{{ $name }}" name="{{ $name }}"
        type="{{ $type }}" @if ($type !== 'password') value="{{ old($name, $value) }}" @endif @required($needed)
        @error($name) aria-invalid="true" @enderror
        aria-describedby="f-{{ $name }}-fault{{ $hint === null ? '' : " f-$name-hint" }}">
    @if ($hint !== null)
        <div class="quiet small mt-1" id="f-{{ $name }}-hint">{{ $hint }}</div>
    @endif
    <div class="invalid" id="f-{{ $name }}-fault" role="alert">{{ $errors->first($name) }}</div>
</div>
