{{-- In which language somebody reads. of: Person --}}
@props(['of'])
<form class="d-flex gap-2 align-items-center flex-wrap" method="post" action="{{ route('me.language') }}">@csrf @method('put')
    <label for="language">{{ __('me.language_label') }}</label>
    <select class="form-select w-auto" id="language" name="language">
        <option value="">{{ __('me.as_browser') }}</option>
        @foreach (config('app.languages') as $tag)
            <option value="{{ $tag }}" lang="{{ $tag }}" @selected($of->language === $tag)>
                {{ Say::language($tag) }}
            </option>
        @endforeach
    </select>
    <button class="btn btn-side">{{ __('me.keep') }}</button>
    @error('language')
        <span class="invalid" role="alert">{{ $message }}</span>
    @enderror
</form>
