{{-- How students register. form: RegisteringForm --}}
<x-card :title="__('section.registration.title')" id="registering">
    <p>{{ $form->words === null ? __('joining.registering.roster') : "$form->words." }}
        @if ($form->words !== null)
            <a href="{{ route('register', $page->series) }}">{{ route('register', $page->series) }}</a>
            <x-copy :text="route('register', $page->series)" />
        @endif
    </p>
    @if ($page->mayChange)
        <x-more :title="__('term.change')" :of="['mode', 'opens_on', 'closes_on', 'seats']">
            <form class="mt-2" method="post" action="{{ route('series.registering', [$page->section, $page->series]) }}">@csrf
                @method('put')
                <x-drawn :of="'registering:' . $page->series->id" />
                @foreach (__('joining.registering.modes') as $mode => $words)
                    <div class="form-check"><input class="form-check-input" type="radio" name="mode" id="mode-{{ $mode }}"
                            value="{{ $mode }}" @checked($form->mode === $mode)><label class="form-check-label"
                            for="mode-{{ $mode }}">{{ $words }}</label></div>
                @endforeach
                <div class="form-check mt-2"><input class="form-check-input" type="checkbox" name="accepts_certain" id="accepts_certain"
                        value="1" @checked($form->acceptsCertain)><label class="form-check-label"
                        for="accepts_certain">{{ __('joining.registering.certain') }}</label></div>
                <div class="inline mt-2">
                    <label for="opens">{{ __('joining.registering.from') }}</label>
                    <x-date id="opens" name="opens_on" :value="$form->opens" />
                    <label for="closes">{{ __('joining.registering.until') }}</label>
                    <x-date id="closes" name="closes_on" :value="$form->closes" />
                </div>
                <div class="inline mt-2">
                    <label for="seats">{{ __('joining.registering.seats') }}</label>
                    <input class="form-control n" id="seats" name="seats" inputmode="numeric" value="{{ $form->seats }}"
                        placeholder="{{ __('joining.registering.any') }}">
                </div>
                <x-faults :of="['mode', 'opens_on', 'closes_on', 'seats']" />
                <button class="btn btn-side mt-2">{{ __('joining.save') }}</button>
            </form>
        </x-more>
    @endif
</x-card>
