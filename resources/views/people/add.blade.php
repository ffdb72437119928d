<x-app :title="__('people.add.title')">
    <x-page-head :title="__('people.add.title')" :sum="__('people.add.sum')" />
    <form class="mt-2" method="post" action="{{ route('people.store') }}">@csrf
        <fieldset class="inline mb-2">
            <legend class="form-label">{{ __('people.add.role') }}</legend>
            @foreach (['student', 'teacher'] as $role)
                <label class="check"><input class="form-check-input mt-0" type="radio" name="role" value="{{ $role }}"
                        @checked(old('role', 'student') === $role)> {{ __("people.roles.$role") }}</label>
            @endforeach
        </fieldset>
        <label class="form-label" for="people-lines">{{ __('people.add.hint') }}</label>
        <textarea class="form-control" id="people-lines" name="text" rows="12" spellcheck="false"
            placeholder="{{ __(
                'people.add.example') }}" @error('text') aria-invalid="true" @enderror aria-describedby="people-fault">{{ old(
                'text') }}</textarea>
        <div class="invalid lines" id="people-fault" role="alert">{{ $errors->first('text') }}{{ $errors->first('role') }}</div>
        <p class="quiet small">{{ __('people.add.known') }}</p>
        <button class="btn btn-main">{{ __('people.add.go') }}</button>
        <a class="btn btn-side" href="{{ route('people') }}">{{ __('people.preview.back') }}</a>
    </form>
</x-app>
