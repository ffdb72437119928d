{{-- One free time and what it costs. free: FreeLine; in the slot how it is taken --}}
@props(['free'])
<li><b>{{ $free->words }}</b><span class="{{ $free->isGood ? 'good' : 'quiet' }}">{{ $free->cost }}</span>{{ $slot }}</li>
