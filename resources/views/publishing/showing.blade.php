{{-- What stands where. page: ShowingPage --}}
@props(['page'])
<x-app :title="__('showing.title')">
    <x-page-head :title="$page->section === null ? __('showing.title') : __('showing.of_section', ['section' => $page->section->name()])">
        <x-slot:sum>
            {{ $page->section === null
                ? trans_choice('showing.sum_school', $page->different)
                : trans_choice('showing.sum_own', count($page->own)) }}
        </x-slot:sum>
        @if ($page->section !== null)
            <a class="pill" href="{{ route('showing') }}">{{ __('showing.school') }}</a>
        @endif
        <a class="pill"
            href="{{ route('letters', ['kind' => 'course-next', 'section' => $page->section?->sourced_id]) }}">{{ __('showing.words') }}</a>
        <a class="pill"
            href="{{ $page->section === null ? route('publishing') : route('publishing.section', $page->section) }}">{{ __(
                'showing.plan') }}</a>
    </x-page-head>
    <div @class(['columns mt-3', 'even' => $page->section !== null])>
        <div>
            <form method="post"
                action="{{ $page->section === null ? route('showing.keep') : route('showing.section.keep', $page->section) }}">
                @csrf @method('put')
                @include('publishing.showing.course')
                @include('publishing.showing.stream')
                <button class="btn btn-main">{{ __('showing.keep') }}</button>
            </form>
            @if ($page->own !== [])
                <div class="mt-2">
                    <x-act :to="route('showing.section.reset', $page->section)" method="delete" :do="__('showing.reset')" />
                </div>
            @endif
        </div>
        @if ($page->section !== null)
            <div>
                @include('publishing.showing.comes')
            </div>
        @endif
    </div>
</x-app>
