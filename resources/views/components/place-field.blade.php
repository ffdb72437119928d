{{-- One field of a service's form. of: the service; mine: whether what was typed last is of this form --}}
@props(['of', 'name', 'label', 'mine', 'value' => '', 'hint' => null, 'type' => 'text'])
<div class="mb-2">
    <label class="form-label" for="{{ $name }}-{{ $of }}">{{ $label }}</label>
    <input class="form-control" id="{{ $name }}-{{ $of }}" name="{{ $name }}" type="{{ $type }}"
        autocomplete="off" @if ($type !== 'password') value="{{ $mine ? old($name) : $value }}" @endif
        @if ($mine && $errors->has($name)) aria-invalid="true" @endif aria-describedby="{{ $name }}-{{ $of }}-hint">
    <div class="quiet small mt-1" id="{{ $name }}-{{ $of }}-hint">{{ $hint }}
        @if ($mine)
            <span class="invalid" role="alert">{{ $errors->first($name) }}</span>
        @endif
    </div>
</div>
