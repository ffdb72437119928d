@props(['page'])
@if ($page->faults === [])
    <p class="good">{{ __('import.good') }}</p>
@else
    <x-read-faults :of="$page->faults" file />
    @if ($page->followed > 0)
        <p class="quiet">{{ trans_choice('import.followed', $page->followed) }}</p>
    @endif
@endif
