{{-- Who is registered, and the roster --}}
<x-card :title="__('section.registration.title')">
    <p><span
            class="{{ $page->lacksRegistrations() ? 'todo' : 'ok' }}">{{ __('section.registration.of', [
                'n' => $page->status->registered,
                'all' => $page->status->roster,
            ]) }}</span>
    </p>
    @can('serve', $page->section)
        @if ($page->lacksRegistrations())
            <x-act :to="route('rosters.store')" :with="['sections[]' => $page->section->sourced_id]" class="btn-main"
                :do="__('section.registration.do')" />
        @endif
    @endcan
    <details class="mt-1">
        <summary>{{ __('section.registration.roster') }}</summary>
        <ul class="roster">
            @forelse ($page->people->roster as $one)
                <li><x-shape :is="$one->isRegistered ? 'published' : 'planned'"
                    :label="__($one->isRegistered ? 'section.registration.is' : 'section.registration.is_not')" />
                    <span>{{ $one->name }}
                        @if ($one->until !== null)
                            <small>{{ __('section.registration.until', ['day' => $one->until]) }}</small>
                        @endif
                        @if ($one->from !== null)
                            <small>{{ __('section.registration.from', ['day' => $one->from]) }}</small>
                        @endif
                    </span>
                    <a class="ms-auto" href="{{ route('look', $one->sourcedId) }}"
                        aria-label="{{ __('publishing.look.link', ['name' => $one->name]) }}">{{ __('publishing.look.go') }}</a>
                </li>
            @empty
                <li class="quiet">{{ __('section.registration.nobody') }}</li>
            @endforelse
        </ul>
    </details>
</x-card>
