{{-- A pass that another browser keeps: asking for it, and how that stands. action; asked: null, asked or kept --}}
@props(['action', 'asked'])
@if ($asked === null)
    <form method="post" action="{{ $action }}">@csrf<button class="act main">{{ __('door.pass.ask') }}</button></form>
@else
    <p class="warn" role="status">{{ __("door.pass.$asked") }}</p>
    <a class="act" href="{{ url()->current() }}">{{ __('door.pass.look') }}</a>
@endif
