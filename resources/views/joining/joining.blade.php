@props(['page'])
<x-app :title="__('joining.title')">
    <div class="bar">
        <h1>{{ __('joining.title') }}</h1>
        <div class="sum">{{ trans_choice('count.series', $page->all) }} ·
            <span @class(['todo' => $page->counts['missing'] > 0])>{{ trans_choice('joining.list.missing', $page->counts[
                'missing']) }}</span>
            @if ($page->counts['open'] > 0)
                · <span class="bad">{{ __('joining.list.open', ['n' => $page->counts['open']]) }}</span>
            @endif
        </div>
        <nav class="end" aria-label="{{ __('joining.show') }}">
            <x-pill :to="route('joining')" :on="$page->show === ''" :n="$page->all">{{ __('joining.all') }}</x-pill>
            @foreach ($page->counts as $show => $n)
                <x-pill :to="route('joining', ['show' => $show])" :on="$page->show === $show" :n="$n">{{ __(
                    "joining.list.shows.$show") }}</x-pill>
            @endforeach
            <span class="mx-1"></span>
            <x-pill :to="route('drop-ins')">{{ __('joining.list.drop_ins') }}</x-pill>
            @can('coordinate')
                <x-pill :to="route('presets')">{{ __('joining.list.presets') }}</x-pill>
                <x-pill :to="route('audit')">{{ __('joining.list.audit') }}</x-pill>
            @endcan
        </nav>
    </div>
    <x-faults class="fault" :of="['series', 'act', 'preset', 'account']" />
    @if ($page->all === 0)
        <x-empty :title="__('joining.list.no_series')">{{ __('joining.list.no_series_hint') }}</x-empty>
    @elseif ($page->rows === [])
        <x-empty :title="__('joining.list.none')">{{ __('joining.list.none_hint') }}</x-empty>
    @else
        <dl class="presets-used">
            @foreach ($page->used as $preset)
                <dt>{{ Say::put($preset->name) }}</dt>
                <dd>{{ Say::this($preset->sentence()) }}</dd>
            @endforeach
        </dl>
        <form method="post" action="{{ route('joining.act') }}" x-data="board" data-rows="{{ route('joining.rows') }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col"><x-choose-all /></th>
                        @foreach (__('joining.list.columns') as $column => $words)
                            <th scope="col" @class(['num' => $column === 'may'])>{{ $words }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->whole() as $row)
                        @include('joining.joining.row')
                    @endforeach
                    @include('stubs', ['stubs' => $page->stubs()])
                </tbody>
            </table>
            @include('joining.joining.tray')
        </form>
    @endif
</x-app>
