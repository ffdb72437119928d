@php use Nomada\App\Support\Words; @endphp
<x-app title="Closed days from a calendar">
    <div class="bar">
        <h1>Closed days in {{ $name }}</h1>
        <div class="sum">{{ Words::count($new, 'new closure') }} · <span
                @class(['bad' => $faults !== []])>{{ $faults === [] ? 'no faults' : Words::count(count($faults), 'fault') }}</span></div>
    </div>
    @if ($faults !== [])
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">Line</th>
                    <th scope="col">Property</th>
                    <th scope="col">Expected</th>
                    <th scope="col">Found</th>
                </tr>
            </thead>
            <tbody>
                @foreach (array_slice($faults, 0, 100) as $f)
                    <tr>
                        <td class="num">{{ $f->line ?: '' }}</td>
                        <td>{{ $f->column }}</td>
                        <td>{{ $f->expected }}</td>
                        <td class="mono">{{ Str::limit($f->found, 80) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($rows === [])
        <div class="empty">
            <h2>No closed day in it</h2><a href="{{ route('term') }}">Choose another file</a>
        </div>
    @else
        <form method="post" action="{{ route('closures.take', $key) }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">{{ __('term.read.why') }}</th>
                        <th scope="col">{{ __('term.read.from') }}</th>
                        <th scope="col">{{ __('term.read.to') }}</th>
                        <th scope="col">{{ __('term.read.falls') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        <x-term.closure-row :row="$row" />
                    @endforeach
                </tbody>
            </table>
            <div class="mt-3">
                @if ($new > 0)
                    <button class="btn btn-main">{{ __('term.read.take') }}</button>
                @endif
                <a class="btn btn-side" href="{{ route('term') }}">{{ __('term.read.back') }}</a>
            </div>
        </form>
    @endif
</x-app>
