{{-- More, folded until somebody asks for it or one of its fields has a fault. title; of: names of its fields; open --}}
@props(['title', 'of' => [], 'open' => false])
<details {{ $attributes }} @if ($open || $errors->hasAny($of)) open @endif>
    <summary>{{ $title }}</summary>
    {{ $slot }}
</details>
