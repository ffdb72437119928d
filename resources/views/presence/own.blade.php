@props(['page'])
<x-app :title="__('attendance.student.own')">
    <div class="phone">
        <h1>{{ __('attendance.student.own') }}</h1>
        <x-presence-student :page="$page" />
        <p class="mt-3"><a href="{{ route('me') }}">‹</a></p>
    </div>
</x-app>
