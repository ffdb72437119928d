{{-- Every component in all its states, in light and in dark. page: HousePage --}}
@props(['page'])
<x-app :title="__('house.title')">
    <x-page-head :title="__('house.title')" :sum="__('house.sum', ['n' => count($page->components)])">
        <x-pill to="#all">{{ __('house.all') }}</x-pill>
        <x-pill to="#samples" on :n="3">{{ __('house.on') }}</x-pill>
    </x-page-head>
    <div class="house" id="samples">
        @foreach (['light', 'dark'] as $scheme)
            <section data-bs-theme="{{ $scheme }}" aria-label="{{ __("house.schemes.$scheme") }}">
                <h2>{{ __("house.schemes.$scheme") }}</h2>
                @include('house.words')
                @include('house.forms')
                @include('house.lists')
                @include('house.drawings')
            </section>
        @endforeach
    </div>
    <h2 class="mt-4" id="all">{{ __('house.all') }}</h2>
    <table class="table-plain">
        <tbody>
            @foreach ($page->components as $tag => $said)
                <tr>
                    <th scope="row" class="mono nowrap">{{ $tag }}</th>
                    <td>{{ $said }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</x-app>
