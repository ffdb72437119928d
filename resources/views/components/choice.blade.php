{{-- One labelled choice with its fault. name, label; of: words by value; chosen; hint beneath it; own: says that it is a section's own --}}
@props(['name', 'label', 'of', 'chosen', 'hint' => null, 'own' => false])
<div class="mb-3"><label class="form-label" for="f-{{ $name }}">{{ $label }}
        @if ($own)
            <small class="todo">{{ __('showing.own') }}</small>
        @endif
    </label>
    <select {{ $attributes->merge(['class' => 'form-select']) }} id="f-{{ $name }}" name="{{ $name }}"
        aria-describedby="f-{{ $name }}-fault{{ $hint === null ? '' : " f-$name-hint" }}"
        @error($name) aria-invalid="true" @enderror>
        @foreach ($of as $value => $words)
            <option value="{{ $value }}" @selected((string) old($name, $chosen) === (string) $value)>{{ $words }}</option>
        @endforeach
    </select>
    @if ($hint !== null)
        <div class="quiet small mt-1" id="f-{{ $name }}-hint">{{ $hint }}</div>
    @endif
    <div class="invalid" id="f-{{ $name }}-fault" role="alert">{{ $errors->first($name) }}</div>
</div>
