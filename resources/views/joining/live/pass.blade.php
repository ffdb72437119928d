{{-- A pass made and sent in one step. page: DeskPage --}}
<section class="a-pass">
    @if ($page->live->series !== null && !$page->live->isRehearsal)
        <details @if ($errors->hasAny(['name', 'email'])) open @endif>
            <summary>{{ __('live.pass.title') }}</summary>
            <form method="post" action="{{ $page->live->page }}">@csrf
                <input type="hidden" name="act" value="pass">
                <p class="quiet small mb-2">{{ __('live.pass.hint') }}</p>
                <x-field name="name" :label="__('live.pass.name')" maxlength="120" />
                <label class="form-label" for="f-email">{{ __('live.pass.email') }}</label>
                <input class="form-control mb-1" id="f-email" name="email" type="email" value="{{ old('email') }}">
                <div class="invalid" role="alert">{{ $errors->first('email') }}</div>
                <button class="btn btn-side mt-1">{{ __('live.pass.go') }}</button>
            </form>
        </details>
    @endif
</section>
