{{-- What would be published of each section, in one template: six hundred of them take as long as all else of the page --}}
<x-tight>
    @foreach ($page->rows as $row)
        <tr>
            <td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row->section }}"
                    data-steps="{{ implode(' ', $row->steps()) }}" data-to-tell="{{ $row->isToTell ? 1 : 0 }}" @checked($row->differs())
                    aria-label="{{ __('frame.choose', ['row' => $row->name]) }}"></td>
            <td><button class="toggle" type="button" aria-expanded="false" data-section="{{ $row->section }}"
                    data-url="{{ $page->sections->to($row->section) }}">{{ $row->name }}</button><small
                    class="note">{{ __("plan.notes.$row->note") }}</small></td>
            @foreach ($row->places as $place => $n)
                <td data-place="{{ $page->placeNames[$place] }}">
                    <div class="five">
                        @foreach ($page::MARKS as $mark)
                            <span>
                                @if ($n[$mark] > 0)
                                    {{ $page->mark($mark) }}{{ $n[$mark] }}
                                @endif
                            </span>
                        @endforeach
                    </div>
                </td>
            @endforeach
        </tr>
    @endforeach
</x-tight>
