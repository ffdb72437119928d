{{-- Chooses one row of a list. name, value; row: what it is called; more: what tells it from others of that name.
     A list of more than a thousand rows includes it: as a component it takes as long as all else of a row. --}}
@props(['name', 'value', 'row', 'more' => ''])
<input class="form-check-input" type="checkbox" name="{{ $name }}[]" value="{{ $value }}" data-name="{{ $row }}"
    aria-label="{{ __('frame.choose', ['row' => $more === '' ? $row : "$row: $more"]) }}">
