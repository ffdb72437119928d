@props(['page'])
<x-app :title="__('recordings.search.title', ['name' => $page->section->name()])">
    <x-page-head :title="__('recordings.search.title', ['name' => $page->section->name()])">
        <x-slot:sum>{{ $page->words === '' ? '' : trans_choice('recordings.search.sum', count($page->hits)) }}</x-slot:sum>
    </x-page-head>
    <form class="d-flex gap-2 my-3 narrow-form" method="get" role="search">
        <label class="visually-hidden" for="q">{{ __('recordings.search.label') }}</label>
        <input class="form-control" id="q" name="q" value="{{ $page->words }}" placeholder="{{ __('recordings.search.label') }}">
        <button class="btn btn-main">{{ __('recordings.search.go') }}</button>
    </form>
    @if ($page->words === '')
        <x-empty :title="__('recordings.search.empty')">{{ __('recordings.search.empty_hint') }}</x-empty>
    @elseif ($page->hits === [])
        <x-empty :title="__('recordings.search.none')">{{ __('recordings.search.none_hint') }}</x-empty>
    @else
        <ul class="places">
            @foreach ($page->hits as $hit)
                <li><a href="{{ route('recording', [$hit->recording, 'at' => $hit->at]) }}">{{ Say::day($hit->day) }},
                        {{ Nomada\App\View\Recording\PlayedPart::clock($hit->at) }}</a>
                    <span>{{ $hit->speaker === '' ? '' : "$hit->speaker:" }} {{ $hit->said }}</span>
                    <span class="quiet">{{ $hit->topic }}</span>
                </li>
            @endforeach
        </ul>
        @if ($page->isMore)
            <p class="quiet">{{ __('recordings.search.more') }}</p>
        @endif
    @endif
</x-app>
