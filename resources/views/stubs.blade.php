{{-- Rows that are brought when they come into sight, in one template for all lists: one for each row would take as long
     as all else of the page. stubs: Stubs --}}
@foreach ($stubs->rows as $stub)
    <tr class="{{ $stubs->class }}" data-stub="{{ $stub->key }}"
        @if ($stubs->isStop) tabindex="-1" aria-label="{{ $stub->name }}" @endif>
        @if ($stubs->box !== '')
            <td><input class="form-check-input" type="checkbox" name="{{ $stubs->box }}[]" value="{{ $stub->value }}"
                    data-name="{{ $stub->name }}" aria-label="{{ $stubs->choose($stub) }}"></td>
        @endif
        <td @if ($stubs->isStop) class="sec" @endif><a
                href="{{ $stub->url }}"><b>{{ $stub->name }}</b></a>{{ $stub->more === '' ? '' : ": $stub->more" }}
            <small>{{ $stub->small }}</small>
        </td>
        <td class="later quiet" colspan="{{ $stubs->columns }}"></td>
    </tr>
@endforeach
