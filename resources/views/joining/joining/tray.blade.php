{{-- What can be done with the chosen series --}}
<x-tray :label="__('joining.list.tray')">
    <select class="form-select w-auto" name="preset" aria-label="{{ __('joining.preset') }}">
        @foreach ($page->presets as $preset)
            <option value="{{ $preset->key }}">{{ Say::put($preset->name) }}</option>
        @endforeach
    </select>
    <button class="btn btn-side" name="act" value="preset">{{ __('joining.list.acts.preset') }}</button>
    @if ($page->accounts !== [])
        <select class="form-select w-auto" name="account" aria-label="{{ __('joining.list.account') }}">
            @foreach ($page->accounts as $account)
                <option value="{{ $account->id }}">{{ $account->name }}</option>
            @endforeach
        </select>
        <button class="btn btn-side" name="act" value="account">{{ __('joining.list.acts.account') }}</button>
    @endif
    @foreach (['hide', 'show', 'replace'] as $act)
        <button class="btn btn-side" name="act" value="{{ $act }}">{{ __("joining.list.acts.$act") }}</button>
    @endforeach
    <button class="btn btn-main" name="act" value="links">{{ __('joining.list.acts.links') }}</button>
</x-tray>
