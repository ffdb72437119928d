@props(['runs'])
<x-app :title="__('run.past')">
    <x-page-head :title="__('run.past')" :sum="count($runs) === \Nomada\App\View\Publishing\Run\RunQuery::LISTED
        ? __('run.last', ['n' => count($runs)])
        : trans_choice('run.runs', count($runs))">
        <x-pill :to="route('publishing')">{{ __('plan.title') }}</x-pill>
    </x-page-head>
    @if ($runs === [])
        <x-empty :title="__('run.none')">{{ __('run.none_hint') }}</x-empty>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    @foreach (__('run.columns') as $column => $words)
                        <th scope="col" @class(['num' => $column === 'steps'])>{{ $words }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($runs as $run)
                    <tr>
                        <td><a href="{{ route('run', $run->id) }}">{{ $run->at }}</a></td>
                        <td>{{ __($run->isOfLinks ? 'run.made_links' : 'run.published') }}</td>
                        <td>{{ $run->by ?? __('run.console') }}</td>
                        <td class="num">{{ $run->steps }}</td>
                        <td class="{{ ['failed' => 'bad', 'waiting' => 'todo', 'done' => 'good'][$run->state()->value] }}">
                            {{ __("run.ended.{$run->state()->value}", ['waiting' => $run->waiting, 'failed' => $run->failed]) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
