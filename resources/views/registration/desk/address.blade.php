{{-- An address, marked where typed and roster have the same --}}
<small class="addr">
    @if ($line->isSame)
        <mark>{{ $address }}</mark>
    @else
        {{ $address }}
    @endif
</small>
