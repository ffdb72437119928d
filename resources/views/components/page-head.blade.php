{{-- A page's head: title; sum: what it comes to, beside it; in the slot what leads further --}}
@props(['title', 'sum' => ''])
<div class="bar">
    <h1>{{ $title }}</h1>
    <div class="sum">{{ $sum }}</div>
    @if (trim($slot) !== '')
        <div class="end">{{ $slot }}</div>
    @endif
</div>
