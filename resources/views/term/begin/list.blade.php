{{-- A list that is typed or pasted, a line each. name: sections or students --}}
@props(['name'])
<x-card :title="__('begin.steps.' . $name)">
    <label class="form-label" for="{{ $name }}">{{ __("begin.{$name}_hint") }}</label>
    <textarea class="form-control" id="{{ $name }}" name="{{ $name }}" rows="7" spellcheck="false"
        placeholder="{{ __(
            "begin.{$name}_example") }}" @error($name) aria-invalid="true" @enderror aria-describedby="{{ $name }}-fault">{{ old(
            $name) }}</textarea>
    <div class="invalid" id="{{ $name }}-fault" role="alert">{{ $errors->first($name) }}</div>
</x-card>
