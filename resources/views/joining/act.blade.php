@php
    use Nomada\App\Support\Words;
    $n = count(array_filter($lines, fn($l) => $l['does']));
@endphp
<x-app :title="$title">
    <div class="bar">
        <h1>{{ $title }}</h1>
        <div class="sum">
            {{ "$n of " . Words::count(count($lines), 'series', 'series') . ' change; nothing is done yet' }}
        </div>
    </div>
    <table class="table-plain">
        <thead>
            <tr>
                <th scope="col">Series</th>
                <th scope="col">What it will do</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($lines as $line)
                <tr>
                    <td><a href="{{ route('section', $line['section']) }}"><b>{{ $line['name'] }}</b></a></td>
                    <td class="{{ $line['does'] ? '' : 'quiet' }}">{{ $line['words'] }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <form method="post" action="{{ route('joining.act') }}" class="mt-3">@csrf<input type="hidden" name="sure" value="1"><input
            type="hidden" name="act" value="{{ $given['act'] }}"><input type="hidden" name="preset"
            value="{{ $given['preset'] ?? '' }}"><input type="hidden" name="account" value="{{ $given['account'] ?? '' }}">
        @foreach ($given['series'] as $id)
            <input type="hidden" name="series[]" value="{{ $id }}">
        @endforeach
        @if ($n > 0)
            <button class="btn btn-main">Do it for {{ $n }}</button>
        @endif <a class="btn btn-side" href="{{ route('joining') }}">Leave them</a>
    </form>
</x-app>
