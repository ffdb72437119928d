{{-- The sessions after it. rest: ComingSession[] --}}
<ul class="coming">
    @foreach ($rest as $one)
        <li><span class="t">{{ $one->time }}–{{ $one->end }}<small class="quiet">{{ $one->day }}</small></span><span
                class="n">{{ $one->name }}<small class="quiet"><x-joined by=" · "
                    :of="[$one->topic, $one->teacher, $one->school]" /></small>
            </span>
            @if ($one->isCancelled())
                <span class="bad">{{ __('me.is_cancelled') }}</span>
            @elseif (isset($page->links[$one->series]) && !$one->isHidden && !$one->isShut)
                <a href="{{ $page->links[$one->series] }}"
                    aria-label="{{ __('me.door_of', ['name' => $one->name, 'day' => $one->day]) }}">{{ __('me.door') }}</a>
            @else
                <span></span>
            @endif
        </li>
    @endforeach
</ul>
