@props(['presets', 'changed', 'form'])
<x-app :title="__('joining.presets.title')">
    <x-page-head :title="__('joining.presets.title')" :sum="__('joining.presets.sum')">
        <x-pill :to="route('joining')">{{ __('joining.title') }}</x-pill>
    </x-page-head>
    <div class="columns mt-2">
        <div>
            @foreach ($presets as $preset)
                <section class="card-s">
                    <div class="d-flex gap-3 align-items-baseline">
                        <h2>{{ Say::put($preset->name) }}</h2>
                        @if (!$preset->isUsual())
                            <a href="{{ route('presets', ['change' => $preset->key]) }}">{{ __('joining.presets.change') }}<span
                                    class="visually-hidden"> {{ Say::put($preset->name) }}</span></a>
                            <x-act :to="route('presets.destroy', $preset->key)" method="delete" class="btn-plain py-0"
                                :do="__('joining.presets.take_out')" :about="Say::put($preset->name)" />
                        @endif
                    </div>
                    <p class="mb-0">{{ Say::this($preset->sentence()) }}</p>
                </section>
            @endforeach
        </div>
        <div>
            <x-card :title="__($changed === null ? 'joining.presets.own' : 'joining.presets.changed', [
                'name' => Say::put($changed?->name),
            ])">
                <form id="preset" method="post" action="{{ route('presets.store') }}">@csrf
                    @if ($changed !== null)
                        <x-drawn :of="'preset:' . $changed->key" />
                        <input type="hidden" name="changes" value="{{ $changed->key }}">
                    @endif
                    <label class="form-label" for="preset_name">{{ __('joining.presets.name') }}</label>
                    <input class="form-control mb-2" id="preset_name" name="preset_name" maxlength="60"
                        value="{{ old('preset_name', $changed?->name) }}">
                    @include('joining.door-form', ['form' => $form])
                    <button class="btn btn-main mt-2">{{ __('joining.presets.keep') }}</button>
                    @if ($changed !== null)
                        <a class="btn btn-side mt-2" href="{{ route('presets') }}">{{ __('joining.presets.leave') }}</a>
                    @endif
                </form>
            </x-card>
        </div>
    </div>
</x-app>
