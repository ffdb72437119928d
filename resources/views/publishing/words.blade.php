{{-- The words of letters and places. page: WordsPage --}}
@props(['page'])
<x-app :title="__('showing.words_page.title')">
    <x-page-head :title="__('showing.words_page.title')">
        <x-slot:sum>
            {{ trans_choice('showing.words_page.sent', $page->sent) }}
            @if ($page->stuck->isNotEmpty())
                · <span class="bad">{{ trans_choice('showing.words_page.not_sent', $page->stuck->count()) }}</span>
            @endif
        </x-slot:sum>
        <a class="pill" href="{{ route('desk') }}">{{ __('showing.words_page.desk') }}</a>
        <a class="pill" href="{{ route('showing') }}">{{ __('showing.title') }}</a>
    </x-page-head>
    @foreach ($page->kinds() as $together => $kinds)
        <div class="bar thin">
            <nav aria-label="{{ __($together) }}">
                <span class="quiet">{{ __($together) }}</span>
                @foreach ($kinds as $kind)
                    <a @class(['pill', 'on' => $kind === $page->kind]) href="{{ route('letters', $page->at($kind)) }}"
                        @if ($kind === $page->kind) aria-current="page" @endif>{{ $page->title($kind) }}</a>
                @endforeach
            </nav>
        </div>
    @endforeach
    <div class="columns even mt-3">
        <div>
            @include('publishing.words.edit')
        </div>
        <div>
            @include('publishing.words.preview')
            @includeWhen($page->stuck->isNotEmpty(), 'publishing.words.stuck')
        </div>
    </div>
</x-app>
