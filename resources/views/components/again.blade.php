@props(['page', 'fields', 'class' => 'btn-side'])
{{-- A form once more, with every field that it had. --}}
<form method="post" action="{{ $page->action }}">
    @csrf
    @method($page->method)
    @foreach ($fields as $name => $value)
        @foreach (is_array($value) ? $value : [$value] as $one)
            <input type="hidden" name="{{ is_array($value) ? $name . '[]' : $name }}" value="{{ is_scalar($one) ? $one : '' }}">
        @endforeach
    @endforeach
    <button class="btn {{ $class }}">{{ $slot }}</button>
</form>
