{{-- A form of one button. to; method; with: hidden fields; do: its words; about: whom it is about, for a screen reader --}}
@props(['to', 'do', 'method' => 'post', 'with' => [], 'about' => '', 'class' => 'btn-side'])
<form class="d-inline" method="post" action="{{ $to }}">@csrf
    @if ($method !== 'post')
        @method($method)
    @endif
    @foreach ($with as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}">
    @endforeach
    {{ $slot }}
    <button {{ $attributes->merge(['class' => "btn $class"]) }}>{{ $do }}@if ($about !== '')
            <span class="visually-hidden"> {{ $about }}</span>
        @endif
    </button>
</form>
