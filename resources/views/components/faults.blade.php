{{-- What is wrong with any of these fields, where something is. of: names of fields --}}
@props(['of'])
@foreach ($of as $field)
    @error($field)
        <div {{ $attributes->merge(['class' => 'invalid mb-1']) }} role="alert">{{ $message }}</div>
    @enderror
@endforeach
