{{-- One of several ways, with what belongs to it in the slot. name, id, value; label; chosen: the value that is chosen --}}
@props(['name', 'id', 'value', 'label', 'chosen', 'quiet' => false])
<div class="choice"><input class="form-check-input mt-0" type="radio" name="{{ $name }}" id="{{ $id }}"
        value="{{ $value }}" @checked($chosen === $value)><label for="{{ $id }}"
        @class(['visually-hidden' => $quiet])>{{ $label }}</label>{{ $slot }}</div>
