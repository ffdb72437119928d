{{-- The preset that door and floor begin with --}}
<x-card :title="__('joining.preset')">
    @if ($page->mayChange)
        <form method="post" action="{{ route('series.preset', [$page->section, $page->series]) }}" class="inline">@csrf
            @method('put')
            <x-drawn :of="'door:' . $page->series->id" />
            <select class="form-select w-auto" name="preset" aria-label="{{ __('joining.preset') }}">
                @foreach ($page->rules->presets as $one)
                    <option value="{{ $one->key }}" @selected($one->key === $page->rules->preset->key)>{{ Say::put($one->name) }}</option>
                @endforeach
            </select>
            <button class="btn btn-side">{{ __('joining.set') }}</button>
        </form>
        <x-faults :of="['preset']" />
    @else
        {{ Say::put($page->rules->preset->name) }}
    @endif
</x-card>
