{{-- Series that have no time yet, and the form for one more --}}
<x-card :title="__('to_place.title')" id="to-place">
    @foreach ($page->plan->toPlace as $one)
        <p class="d-flex flex-wrap gap-2 align-items-center">
            <span><b>{{ $one->title }}</b>
                {{ trans_choice('to_place.is', $one->per_week, ['minutes' => $one->minutes]) }}</span>
            @if ($page->mayPlan)
                @can('coordinate')
                    <a class="btn btn-side py-0" href="{{ route('fix', 'place') }}">{{ __('to_place.find') }}</a>
                    <a class="btn btn-plain py-0"
                        href="{{ route('why-not', ['series' => $one->number()]) }}">{{ __('to_place.by_hand') }}</a>
                @endcan
                <x-act :to="route('to-place.destroy', [$page->section, $one->id])" method="delete" class="btn-plain py-0"
                    :do="__('to_place.remove')" :about="$one->title" />
            @endif
        </p>
    @endforeach
    @if ($page->plan->isAdding)
        <form method="post" action="{{ route('to-place.store', $page->section) }}">@csrf
            <p class="quiet">{{ __('to_place.hint') }}</p>
            <x-field name="title" :label="__('to_place.name')" :needed="false" :hint="__('to_place.name_hint', [
                'title' => $page->section->title,
            ])" />
            <x-field name="per_week" type="number" min="1" max="7" :label="__('to_place.per_week')" value="2" />
            <x-field name="length" type="number" min="1" max="720" :label="__('to_place.minutes')" value="45" />
            <x-field name="from" :label="__('to_place.from')" :needed="false" :hint="__('to_place.from_hint')" />
            <x-field name="until" :label="__('to_place.until')" :needed="false" :hint="__('to_place.until_hint')" />
            <button class="btn btn-main">{{ __('to_place.save') }}</button>
        </form>
    @endif
</x-card>
