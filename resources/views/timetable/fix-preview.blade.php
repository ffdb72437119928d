@props(['page'])
<x-app :title="__('fix.' . $page->kind . '.title')">
    <x-page-head :title="__('fix.' . $page->kind . '.title')" :sum="$page->people">
        <x-pill :to="route('fix', [$page->kind, 'answer' => $page->answer])">{{ __('fix.back') }}</x-pill>
    </x-page-head>
    @if ($page->fault !== '')
        <p class="fault" role="alert">{{ $page->fault }}</p>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">{{ __('moves.series') }}</th>
                    <th scope="col">{{ __('moves.effect') }}</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($page->lines as $line)
                    <tr>
                        <td><a href="{{ route('section', $line['code']) }}">{{ $line['name'] }}</a>
                            @if (count($page->lines) > 1)
                                <a class="btn btn-plain py-0"
                                    href="{{ route('fix.preview', [$page->run, $page->answer, 'out' => [...$page->out, $line[
                                        'series']]]) }}">{{ __('fix.leave_out') }}<span
                                        class="visually-hidden">: {{ $line['name'] }}</span></a>
                            @endif
                        </td>
                        <td>{{ $line['effect'] }}
                            @foreach ($line['drops'] as $drop)
                                <br><small class="todo">{{ $drop }}</small>
                            @endforeach
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @include('timetable.moves.clashes', ['preview' => $page])
        @if ($page->out !== [])
            <p class="todo">{{ trans_choice('fix.left_out', count($page->out)) }}
                <a href="{{ route('fix.preview', [$page->run, $page->answer]) }}">{{ __('fix.take_all') }}</a>
            </p>
        @endif
        <x-act :to="route('fix.take', [$page->run, $page->answer, 'out' => $page->out])" class="btn-main"
            :do="trans_choice('fix.take.' . $page->kind, count($page->lines))" />
    @endif
</x-app>
