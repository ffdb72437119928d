{{-- The first and the last day of a term. --}}
<div class="days">
    @foreach (['term_first' => 'first', 'term_last' => 'last'] as $field => $which)
        <div><label class="form-label d-block" for="{{ $field }}">{{ __("begin.$which") }}</label>
            <x-date :name="$field" :id="$field" :value="old($field)" />
            <div class="invalid" role="alert">{{ $errors->first($field) }}</div>
        </div>
    @endforeach
</div>
