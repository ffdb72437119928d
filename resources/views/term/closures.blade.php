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
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">Why</th>
                    <th scope="col">From</th>
                    <th scope="col">To</th>
                    <th scope="col">What falls on it</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <td><b>{{ $row['closure']->reason }}</b></td>
                        <td>{{ $row['closure']->first->short() }}</td>
                        <td>{{ $row['closure']->last->short() }}</td>
                        <td>
                            @if ($row['effect'])
                                <span
                                    class="{{ $row['effect']->lost > 0 ? 'todo' : 'good' }}">{{ Words::count($row['effect']->lost,
                                        'session') }}
                                of {{ Words::count($row['effect']->sections, 'section') }}</span>@else<span
                                    class="quiet">{{ $row['why'] }}</span>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <form method="post" action="{{ route('closures.take', $key) }}" class="mt-3">@csrf @if ($new > 0)
                <button class="btn btn-main">Close the {{ Words::count($new, 'new range') }}</button>
            @endif <a class="btn btn-side" href="{{ route('term') }}">Back to the term</a></form>
    @endif
</x-app>
