{{-- What stands of it where --}}
<x-card :title="__('section.publishing.title')">
    <dl class="pairs mb-2">
        @foreach ($page->published->places as $place)
            <dt>{{ $place->title }}</dt>
            <dd>{{ __('section.publishing.standing', ['n' => $place->standing]) }}{{ $place->left === 0 ? '' : ', ' . __(
                'section.publishing.left', ['n' => $place->left]) }}
                @if ($place->refused > 0)
                    <span class="bad">{{ __('section.publishing.refused', ['n' => $place->refused]) }}</span>
                @endif
                @if ($place->address !== null)
                    · <a href="{{ $place->address }}"
                        aria-label="{{ __('section.publishing.open_this', [
                            'place' => $place->title,
                        ]) }}">{{ __('section.publishing.open') }}</a>
                @endif
            </dd>
        @endforeach
    </dl>
    @can('serve', $page->section)
        <x-act :to="route('publishing.choose')" :with="['sections[]' => $page->section->sourced_id]"
            :class="$page->status->differing() > 0 ? 'btn-main' : 'btn-side'" :do="__('section.publishing.preview')" />
    @endcan
</x-card>
