@props(['result', 'title', 'canUndo'])
<x-app :title="$title">
    <div class="bar">
        <h1>{{ $title }}</h1>
        <div class="sum">
            {{ trans_choice('joining.result.done', count(array_filter($result->lines, fn($l) => $l['does']))) }}
            @if ($result->undone_at)
                · <b class="todo">{{ __('joining.result.undone') }}</b>
            @endif
        </div>
    </div>
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">{{ __('joining.result.series') }}</th>
                <th scope="col">{{ __('joining.result.came') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($result->lines as $line)
                <tr>
                    <td><a href="{{ route('section', $line['section']) }}"><b>{{ $line['name'] }}</b></a></td>
                    <td class="{{ $line['does'] ? 'good' : 'quiet' }}">{{ $line['words'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <div class="d-flex gap-2 mt-3">
        <a class="btn btn-main" href="{{ route('joining') }}">{{ __('joining.result.back') }}</a>
        <a class="btn btn-side" href="{{ route('publishing') }}">{{ __('joining.result.publish') }}</a>
        @if ($canUndo)
            <form method="post" action="{{ route('joining.result.undo', $result->id) }}">
                @csrf
                <button class="btn btn-side">{{ __('joining.result.undo') }}</button>
            </form>
        @endif
    </div>
</x-app>
