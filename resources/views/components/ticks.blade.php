{{-- Several small things side by side, of which any can be chosen. name; id: how their ids begin; of: Tick[] --}}
@props(['name', 'id', 'of'])
<div class="days">
    @foreach ($of as $tick)
        <input type="checkbox" name="{{ $name }}[]" value="{{ $tick->value }}" id="{{ $id }}-{{ $tick->value }}"
            @checked($tick->isChosen)><label for="{{ $id }}-{{ $tick->value }}">{{ $tick->label }}</label>
    @endforeach
</div>
