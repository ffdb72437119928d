@props(['page'])
<x-app :title="__('import.title')">
    <div class="bar">
        <h1>{{ __('import.title') }}</h1>
        <div class="sum">
            {{ $page->school === '' ? __('import.no_school') : $page->school }} ·
            <span @class(['bad' => $page->faultCount > 0])>{{ trans_choice('import.faults', $page->faultCount) }}</span>
            {{ trans_choice('import.warnings', $page->warningCount) }}
        </div>
    </div>
    @foreach (['take_good', 'zone'] as $field)
        @error($field)
            <p class="fault" role="alert">{{ $message }}</p>
        @enderror
    @endforeach
    @if ($page->needsZone)
        <form class="warn" method="get" action="{{ route('import.preview', $page->key) }}">
            <label for="zone">{{ __('import.zone') }}</label>
            <input class="form-control d-inline-block w-auto" id="zone" name="zone" aria-label="{{ __('import.zone_label') }}"
                placeholder="Europe/Madrid">
            <button class="btn btn-main">{{ __('import.look') }}</button>
        </form>
    @endif
    <form method="post" action="{{ route('import.take', $page->key) }}" class="columns mt-3">
        @csrf
        <input type="hidden" name="zone" value="{{ request('zone') }}">
        <div>
            @include('term.import.faults', ['page' => $page])
            @include('term.import.dangerous', ['lines' => $page->dangerous])
            @include('term.import.others', ['others' => $page->others])
        </div>
        <div>
            @if ($page->faultCount > 0)
                <p class="warn">{{ __('import.with_faults') }}</p>
                <button class="btn btn-wrong" name="take_good" value="1">{{ __('import.take_good') }}</button>
            @else
                <button class="btn btn-main">{{ __('import.save') }}</button>
            @endif
            <a class="btn btn-side" href="{{ route('import') }}">{{ __('import.choose') }}</a>
            @if ($page->stays !== [])
                <section class="card-s mt-3">
                    <h2>{{ __('import.stays') }}</h2>
                    <ul class="mb-0">
                        @foreach ($page->stays as $line)
                            <li>{{ __("import.stay.$line->kind", ['of' => $line->of, 'before' => $line->before]) }}</li>
                        @endforeach
                    </ul>
                </section>
            @endif
        </div>
    </form>
</x-app>
