{{-- Door and floor: of the series, or of one session only --}}
<x-card id="rules"
    :title="$page->single->chosen === null ? __('joining.rules.series') : __('joining.rules.session', ['day' => $page->single->chosenDay])">
    @if ($page->single->own !== [])
        <h3>{{ __('joining.rules.own') }}</h3>
        @foreach ($page->single->own as $one)
            <div class="mb-1"><b>{{ $one->day }}</b> {{ $one->words }}
                @if ($page->mayChange)
                    <x-act :to="route('series.rules.session', [$page->section, $page->series, $one->session])" method="delete"
                        class="btn-plain py-0" :do="__('joining.rules.as_series')" :about="__('joining.rules.on', ['day' => $one->day])" />
                @endif
            </div>
        @endforeach
    @endif
    @if ($page->mayChange)
        <form class="inline mb-3 mt-2" method="get" action="{{ route('series.door', [$page->section, $page->series]) }}#rules">
            <select class="form-select w-auto" name="only" aria-label="{{ __('joining.rules.which') }}">
                <option value="">{{ __('joining.rules.whole') }}</option>
                @foreach ($page->single->coming as $id => $words)
                    <option value="{{ $id }}" @selected($page->single->chosen === $id)>
                        {{ __('joining.rules.only', ['session' => $words]) }}</option>
                @endforeach
            </select>
            <button class="btn btn-side">{{ __('joining.rules.change') }}</button>
        </form>
        <x-faults :of="['only']" />
        <form method="post" action="{{ route('series.rules', [$page->section, $page->series]) }}">@csrf
            @method('put')
            <x-drawn :of="'door:' . $page->series->id . ($page->single->chosen === null ? '' : ':' . $page->single->chosen)" />
            @if ($page->single->chosen !== null)
                <input type="hidden" name="only" value="{{ $page->single->chosen }}">
            @endif
            @include('joining.door-form', ['form' => $page->rules->form])
            <button
                class="btn btn-main mt-2">{{ $page->single->chosen === null ? __('joining.save') : __(
                    'joining.rules.save_session') }}</button>
        </form>
    @endif
</x-card>
