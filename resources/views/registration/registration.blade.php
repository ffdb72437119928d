@props(['page'])
<x-app :title="__('registration.title')">
    <div class="bar">
        <h1>{{ __('registration.title') }}</h1>
        <div class="sum">{{ trans_choice('count.series', $page->all) }} ·
            <span @class(['todo' => $page->left > 0])>{{ trans_choice('registration.rosters.left', $page->left) }}</span>
        </div>
        @include('registration.tabs', ['at' => 'rosters'])
    </div>
    <div class="bar thin">
        <nav aria-label="{{ __('registration.show') }}">
            <x-pill :to="route('registration')" :on="!$page->onlyLeft" :n="$page->all">{{ __('registration.all') }}</x-pill>
            <x-pill :to="route('registration', ['show' => 'left'])" :on="$page->onlyLeft"
                :n="$page->left">{{ __('registration.rosters.to_register') }}</x-pill>
        </nav>
    </div>
    @if ($page->all === 0)
        <x-empty :title="__('registration.rosters.no_series')">{{ __('registration.rosters.no_series_hint') }}</x-empty>
    @elseif ($page->rows === [])
        <x-empty :title="__('registration.rosters.done')">{{ __('registration.rosters.done_hint') }}</x-empty>
    @else
        <form method="post" action="{{ route('rosters.store') }}" x-data="board" data-rows="{{ route('registration.rows') }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col"><x-choose-all /></th>
                        <th scope="col">{{ __('registration.rosters.series') }}</th>
                        <th scope="col" class="num">{{ __('registration.rosters.on_roster') }}</th>
                        <th scope="col" class="num">{{ __('registration.rosters.registered') }}</th>
                        <th scope="col">{{ __('registration.rosters.what_left') }}</th>
                        <th scope="col">{{ __('registration.rosters.how') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->whole() as $row)
                        @include('registration.roster-row')
                    @endforeach
                    @include('stubs', ['stubs' => $page->stubs()])
                </tbody>
            </table>
            <x-tray :label="__('registration.rosters.tray')">
                <label class="nowrap"><input class="form-check-input" type="checkbox" name="write" value="1">
                    {{ __('registration.rosters.write') }}</label>
                <button class="btn btn-main">{{ __('section.registration.do') }}</button>
            </x-tray>
        </form>
    @endif
</x-app>
