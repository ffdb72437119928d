@props(['page'])
<x-app :title="__('people.preview.title')">
    <x-page-head :title="__('people.preview.title')" :sum="__('people.add.sum')" />
    <form class="columns mt-3" method="post" action="{{ route('people.take', $page->key) }}">@csrf
        <div>
            @include('term.import.faults', ['page' => $page])
            @include('term.import.dangerous', ['lines' => $page->dangerous])
            @include('term.import.others', ['others' => $page->others])
            @if ($page->dangerous === [] && $page->others === [])
                <p class="quiet">{{ __('people.preview.nothing') }}</p>
            @endif
        </div>
        <div>
            @if ($page->faultCount === 0)
                <button class="btn btn-main">{{ __('import.save') }}</button>
            @endif
            <a class="btn btn-side" href="{{ route('people') }}">{{ __('people.preview.back') }}</a>
        </div>
    </form>
</x-app>
