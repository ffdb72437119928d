@php use Nomada\App\Support\Words; @endphp
<x-app title="Records">
    <div class="bar">
        <h1>Records</h1>
        <div class="sum">what was held, and what is lost to closed days, in {{ $term->title }}</div>
    </div>
    @if ($rows === [])
        <div class="empty">
            <h2>No section yet</h2>Records begin with the first session.
        </div>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">Section</th>
                    <th scope="col" class="num">Planned</th>
                    <th scope="col" class="num">Held so far</th>
                    <th scope="col" class="num">Lost</th>
                    <th scope="col" class="num">Time planned</th>
                    <th scope="col" class="num">Time held</th>
                    <th scope="col" class="num">Time lost</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $r)
                    <tr>
                        <td><a
                                href="{{ route('section', $r->sourced_id) }}"><b>{{ $r->year === '' ? ''
                                    : "Y$r->year " }}{{ $r->title }}</b></a>
                        </td>
                        <td class="num">{{ $r->planned }}</td>
                        <td class="num">{{ $r->held }}</td>
                        <td class="num">{{ $r->lost ?: '–' }}</td>
                        <td class="num">{{ Words::minutes((int) $r->planned_minutes) }}</td>
                        <td class="num">{{ Words::minutes((int) $r->held_minutes) }}</td>
                        <td class="num">{{ $r->lost_minutes ? Words::minutes((int) $r->lost_minutes) : '–' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
