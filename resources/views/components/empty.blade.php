{{-- What stands where nothing is. title; in the slot what to do about it --}}
@props(['title'])
<div class="empty">
    <h2>{{ $title }}</h2>{{ $slot }}
</div>
