{{-- Days or weeks that rotate --}}
<x-card :title="__('term.rotation.title')">
    <p class="mb-1">
        {{ $page->usual->rotation->labels === []
            ? __('term.rotation.none')
            : __($page->usual->rotation->byWeek ? 'term.rotation.weeks' : 'term.rotation.days', [
                'labels' => implode(', ', $page->usual->rotation->labels),
            ]) }}
    </p>
    @if ($page->mayChange)
        <x-more :title="__('term.change')" :of="['rotation_kind', 'rotation_n', 'pin_day', 'pin_to']">
            <form method="post" action="{{ route('rotation.update') }}" class="mt-1">@csrf
                @method('put')
                <x-drawn :of="'rotation:' . $page->id" />
                <div class="d-flex gap-3 mb-2 flex-wrap">
                    @foreach (__('term.rotation.kinds') as $kind => $words)
                        <label><input class="form-check-input" type="radio" name="rotation_kind" value="{{ $kind }}"
                                @checked($page->usual->rotation->kind === $kind)> {{ $words }}</label>
                    @endforeach
                </div>
                <div class="d-flex gap-2 mb-2 align-items-center">
                    <input class="form-control w-auto" size="3" name="rotation_n" inputmode="numeric"
                        aria-label="{{ __('term.rotation.n') }}" value="{{ $page->usual->rotation->n }}">
                    <label><input type="hidden" name="lettered" value="0"><input class="form-check-input" type="checkbox"
                            name="lettered" value="1" @checked($page->usual->rotation->isLettered)> {{ __(
                                'term.rotation.lettered') }}</label>
                </div>
                <div class="d-flex gap-2 mb-2 align-items-center">
                    <span class="quiet nowrap">{{ __('term.rotation.pin') }}</span>
                    <x-date name="pin_day" :label="__('term.rotation.pin_day')" :in="$page->calendar" />
                    <span class="quiet">{{ __('term.rotation.pin_to') }}</span>
                    <input class="form-control w-auto" size="3" name="pin_to" aria-label="{{ __('term.rotation.pin_label') }}"
                        value="{{ old('pin_to') }}">
                </div>
                <x-faults class="mb-2" :of="['rotation_kind', 'rotation_n', 'pin_day', 'pin_to']" />
                @include('term.term.look-and-save')
                @foreach ($page->usual->rotation->pins as $day => $label)
                    <p class="mb-0 mt-1">
                        {{ __('term.rotation.pinned', ['day' => Say::day(\Nomada\Core\Term\LocalDate::parse($day)), 'label' => $label]) }}
                        <button class="btn btn-plain py-0" name="unpin" value="{{ $day }}">{{ __('term.rotation.unpin') }}<span
                                class="visually-hidden"> {{ Say::day(\Nomada\Core\Term\LocalDate::parse($day)) }}</span></button>
                    </p>
                @endforeach
            </form>
        </x-more>
    @endif
</x-card>
