{{-- Where the links stand, and everybody's own. links: Links --}}
<x-card :title="__('joining.standing.title')">
    @forelse ($page->places as $place)
        <details>
            <summary>{{ trans_choice('joining.standing.count', $place->count, ['place' => $place->title]) }}
                @if ($place->stale > 0)
                    <span class="todo">{{ __('joining.standing.n_stale', ['n' => $place->stale]) }}</span>
                @endif
            </summary>
            <ul class="roster">
                @foreach ($place->items as $label => $isStale)
                    <li><span>{{ $label }}</span>
                        @if ($isStale)
                            <span class="todo">{{ __('joining.standing.stale') }}</span>
                        @endif
                    </li>
                @endforeach
            </ul>
        </details>
    @empty
        <p class="quiet">{{ __('joining.standing.none') }}</p>
    @endforelse
    <x-more :title="trans_choice('joining.personal.title', count($links->personal))">
        <ul class="roster one-column">
            @foreach ($links->personal as $one)
                <li><span>{{ $one->name }}</span>
                    @if ($page->mayChange)
                        <x-act :to="route('series.replace', [$page->section, $page->series])" :with="['link' => $one->id]"
                            class="btn-plain py-0" :do="__('joining.personal.replace')" :about="$one->name" />
                        <x-act :to="route('series.again', [$page->section, $page->series, $one->id])" class="btn-plain py-0"
                            :do="__('joining.personal.again')" :about="__('joining.personal.to', ['name' => $one->name])" />
                    @endif
                </li>
            @endforeach
        </ul>
    </x-more>
</x-card>
