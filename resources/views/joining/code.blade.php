<x-app :title="__('door.by_code.title')">
    <form class="phone" method="post" action="{{ route('join.find') }}">@csrf
        <h1>{{ __('door.by_code.title') }}</h1><label class="form-label" for="code">{{ __('door.by_code.label') }}</label>
        <input class="form-control form-control-lg mono" id="code" name="code" autocomplete="off" autocapitalize="characters"
            spellcheck="false" placeholder="RXTN-4BKD-72" value="{{ old('code') }}"
            @error('code') aria-invalid="true" aria-describedby="code-fault" @enderror>
        @error('code')
            <div class="invalid" id="code-fault" role="alert">{{ $message }}</div>
        @enderror
        <button class="act main">{{ __('door.by_code.go') }}</button>
    </form>
</x-app>
