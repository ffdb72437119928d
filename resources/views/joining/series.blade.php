@props(['page'])
<x-app :title="__('joining.series.title', ['section' => $page->section->name()])">
    <x-page-head :title="$page->name()">
        <x-slot:sum>
            <x-joined by=" · " :of="[Say::put($page->rules->preset->name), __('joining.series.states.' . $page->linkState())]" />
        </x-slot:sum>
        <a class="btn btn-side" href="{{ route('section', $page->section) }}">{{ __('joining.section') }}</a>
        @if ($page->next !== null && $page->links !== null)
            <a class="btn btn-side" href="{{ route('live', $page->next) }}">{{ __('joining.live') }}</a>
            <a class="btn btn-side" href="{{ route('live', [$page->next, 'rehearsal' => 1]) }}">{{ __('joining.rehearse') }}</a>
        @endif
    </x-page-head>
    <p class="mt-3 mb-1">{{ $page->rules->sentence }}</p>
    @if ($page->rules->moreOpen !== [])
        @include('joining.series.more-open')
    @endif
    <x-faults class="fault" :of="['link']" />
    <div class="columns mt-2">
        <div>
            @if ($page->links === null)
                @include('joining.series.no-links')
            @else
                @include('joining.series.links', ['links' => $page->links])
                @include('joining.series.standing', ['links' => $page->links])
                @include('joining.series.guests', ['links' => $page->links])
            @endif
        </div>
        <div>
            @include('joining.series.registering', ['form' => $page->registering])
            @if ($page->links !== null && $page->mayChange)
                <x-card :title="__('joining.letters.title')">
                    <p>{{ __('joining.letters.hint') }}</p>
                    <x-act :to="route('series.invite', [$page->section, $page->series])" :do="__('joining.letters.do')" />
                </x-card>
            @endif
            @include('joining.series.preset')
            @include('joining.series.rules')
        </div>
    </div>
</x-app>
