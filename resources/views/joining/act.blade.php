@props(['page'])
<x-app :title="$page->title">
    <x-page-head :title="$page->title" :sum="trans_choice('joining.act.sum', count($page->lines), ['n' => $page->does])" />
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('joining.result.series') }}</th>
                <th scope="col">{{ __('joining.act.will') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($page->lines as $line)
                <tr>
                    <td><a href="{{ route('section', $line['section']) }}"><b>{{ $line['name'] }}</b></a></td>
                    <td @class(['quiet' => !$line['does']])>{{ $line['words'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <form method="post" action="{{ route('joining.act') }}" class="mt-3">@csrf
        <input type="hidden" name="sure" value="1">
        <input type="hidden" name="act" value="{{ $page->act }}">
        <input type="hidden" name="preset" value="{{ $page->preset }}">
        <input type="hidden" name="account" value="{{ $page->account }}">
        @foreach ($page->series as $id)
            <input type="hidden" name="series[]" value="{{ $id }}">
        @endforeach
        @if ($page->does > 0)
            <button class="btn btn-main">{{ __('joining.act.do', ['n' => $page->does]) }}</button>
        @endif
        <a class="btn btn-side" href="{{ route('joining') }}">{{ __('joining.act.leave') }}</a>
    </form>
</x-app>
