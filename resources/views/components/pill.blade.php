{{-- A small link to another way of looking. to; on: it is what one looks at; n: how many there are, where that is counted --}}
@props(['to', 'on' => false, 'n' => null])
<a @class(['pill', 'on' => $on]) href="{{ $to }}"
    @if ($on) aria-current="page" @endif>{{ $slot }}{{ $n === null ? '' : " $n" }}</a>
