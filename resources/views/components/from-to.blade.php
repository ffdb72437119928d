{{-- Two clock times. names: of both; from, to: as they stand; like: how they may be typed --}}
@props(['names' => ['move_start', 'move_end'], 'from' => '', 'to' => '', 'like' => ['', '']])
<input {{ $attributes->merge(['class' => 'form-control time']) }} name="{{ $names[0] }}" autocomplete="off"
    placeholder="{{ $like[0] }}" aria-label="{{ __('session.starts_at') }}" value="{{ old($names[0], $from) }}">–<input
    {{ $attributes->merge(['class' => 'form-control time']) }} name="{{ $names[1] }}" autocomplete="off" placeholder="{{ $like[1] }}"
    aria-label="{{ __('session.ends_at') }}" value="{{ old($names[1], $to) }}">
