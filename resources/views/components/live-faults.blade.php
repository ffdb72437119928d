{{-- Places for what is wrong with these fields, which a script fills while somebody types. of: names of fields --}}
@props(['of'])
@foreach ($of as $field)
    <div class="invalid" data-fault="{{ $field }}" role="alert">{{ $errors->first($field) }}</div>
@endforeach
