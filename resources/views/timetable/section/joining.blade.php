{{-- How one comes in, a series at a time --}}
<x-card :title="__('section.joining.title')">
    @forelse ($page->plan->series as $card)
        @if (count($page->plan->series) > 1)
            <h3>{{ $card->title }}</h3>
        @endif
        @if ($card->joining->address === null)
            <p class="todo mb-1">{{ __('section.joining.none') }}</p>
        @else
            <dl class="pairs mb-2">
                <dt>{{ __('section.joining.link') }}</dt>
                <dd><a href="{{ $card->joining->address }}">{{ Str::limit($card->joining->address, 34) }}</a>
                    <x-copy :text="$card->joining->address" />
                </dd>
                @can('serve', $page->section)
                    @if ($card->joining->host !== null)
                        <dt>{{ __('section.joining.host') }}</dt>
                        <dd><a href="{{ $card->joining->host }}">{{ __('section.joining.own') }}</a>
                            <x-copy :text="$card->joining->host" />
                        </dd>
                    @endif
                @endcan
                <dt>{{ __('section.joining.code') }}</dt>
                <dd class="mono">{{ $card->joining->joinCode }}</dd>
                <dt>{{ __('section.joining.phone') }}</dt>
                <dd>{{ __('section.joining.dial', ['number' => $card->joining->dialIn, 'pin' => $card->joining->pin]) }}</dd>
            </dl>
            @can('serve', $page->section)
                <p class="mb-1"><a href="{{ route('series.door', [$page->section, $card->id]) }}">{{ __('section.joining.door') }}</a></p>
            @endcan
        @endif
    @empty
        <p class="quiet">{{ __('section.joining.no_series') }}</p>
    @endforelse
    @can('serve', $page->section)
        @if ($page->lacksLinks())
            <x-act :to="route('links.store')" :with="['sections[]' => $page->section->sourced_id]" class="btn-main"
                :do="__('section.joining.make')" />
        @endif
    @endcan
</x-card>
