{{-- A registration for each session --}}
<ul class="coming">
    @foreach ($page->own as $one)
        <li><span class="t">{{ $one->day }}</span><span class="n"><span
                    class="{{ $one->tone() }}">{{ __("register.states.{$one->state->value}", ['place' => $one->place, 'reason' =>
                        (string) $one->reason]) }}</span></span>
            @if ($one->holds())
                <x-act :to="route('register.destroy', [$page->series, $one->id])" method="delete" class="btn-plain"
                    :do="__('register.take_back')" :about="$one->day" />
            @else
                <span></span>
            @endif
        </li>
    @endforeach
</ul>
@if ($page->link !== null)
    <a class="act main" href="{{ $page->link }}">{{ __('register.door') }}</a>
@endif
