{{-- A new room --}}
<x-card class="mt-3" :title="__('joining.drop_ins.new')">
    <form method="post" action="{{ route('drop-ins.store') }}">@csrf
        <input type="hidden" name="uid" value="{{ old('uid', $page->uid) }}">
        <div class="inline mb-2">
            <label for="section">{{ __('joining.drop_ins.section') }}</label>
            <select class="form-select w-auto" id="section" name="section">
                <option value="">{{ __('joining.drop_ins.choose') }}</option>
                @foreach ($page->sections as $id => $name)
                    <option value="{{ $id }}" @selected(old('section') === (string) $id)>{{ $name }}</option>
                @endforeach
            </select>
            <label for="name">{{ __('joining.drop_ins.name') }}</label>
            <input class="form-control w-auto" id="name" name="name" maxlength="80"
                value="{{ old('name', __('joining.drop_ins.usual_name')) }}">
            <label for="hours">{{ __('joining.drop_ins.open') }}</label>
            <input class="form-control hours" id="hours" name="hours" maxlength="300" value="{{ old('hours') }}"
                placeholder="{{ __('joining.drop_ins.hours_like') }}" @error('hours') aria-invalid="true" @enderror>
            <label for="preset">{{ __('joining.preset') }}</label>
            <select class="form-select w-auto" id="preset" name="preset">
                @foreach ($page->presets as $preset)
                    <option value="{{ $preset->key }}" @selected(old('preset',
                        'office-hours') === $preset->key)>{{ Say::put($preset->name) }}</option>
                @endforeach
            </select>
            <button class="btn btn-main">{{ __('joining.drop_ins.make') }}</button>
        </div>
        <x-faults :of="['section', 'name', 'hours', 'preset', 'uid']" />
        <p class="quiet mb-0">
            {{ __('joining.drop_ins.hint', ['rules' => lcfirst(Say::this($page->presets['office-hours']->sentence(
                )))]) }}
        </p>
    </form>
</x-card>
