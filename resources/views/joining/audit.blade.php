@php use Nomada\App\Support\Words; @endphp
<x-app title="Audit">
    <div class="bar">
        <h1>Audit</h1>
        <div class="sum">
            {{ $open === []
                ? 'no door is more open than its preset'
                : Words::count(count($open), 'series', 'series') . ' more open than the preset' }}
            · {{ Words::count($count, 'change') }}</div>
        <nav class="end" aria-label="Show">
            @foreach (['' => 'All', 'door' => 'Doors', 'link' => 'Links', 'registration' => 'Registrations', 'live' => 'Live', 'code' =>
                'Codes', 'person' => 'People'] as $k => $label)
                <a @class(['pill', 'on' => $kind === $k])
                    href="{{ route('audit', array_filter(['kind' => $k, 'q' => $q])) }}">{{ $label }}</a>
            @endforeach
            <a class="pill" href="{{ route('audit.export', array_filter(['kind' => $kind, 'q' => $q])) }}">
                CSV</a><a class="pill" href="{{ route('joining') }}">Joining</a>
        </nav>
    </div>
    @if ($open !== [])
        <table class="table-plain mb-3">
            <thead>
                <tr>
                    <th scope="col">Series</th>
                    <th scope="col">Preset</th>
                    <th scope="col">More open</th>
                    <th scope="col">Accepted by</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($open as $o)
                    <tr>
                        <td><a
                                href="{{ route('series.door', [$o['series']->section, $o['series']]) }}"><b>{{ $o['series']->section->name(
                                    ) }}</b></a>
                        </td>
                        <td>{{ $o['preset'] }}</td>
                        <td>{{ implode(', ', $o['more']) }}</td>
                        <td class="{{ $o['by'] === null ? 'bad' : '' }}">{{ $o['by'] ?? 'nobody yet' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    <form class="inline my-2" method="get" action="{{ route('audit') }}"><input type="hidden" name="kind"
            value="{{ $kind }}"><input class="form-control w-auto" name="q" value="{{ $q }}"
            aria-label="Section, person or words" placeholder="Section, person or words"><button class="btn btn-side">Filter</button></form>
    @if ($lines === [])
        <div class="empty">
            <h2>Nothing here</h2>Every change of a door, a link or a registration is written down here.
        </div>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">When</th>
                    <th scope="col">Who</th>
                    <th scope="col">Series</th>
                    <th scope="col">What</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($lines as $l)
                    <tr>
                        <td class="nowrap">{{ $zone->dateAt((int) $l->seconds)->short() }} {{ $zone->clock((int) $l->seconds) }}</td>
                        <td class="nowrap">{{ $l->by ?? 'the system' }}</td>
                        <td>{{ $l->section }}</td>
                        <td>{{ $l->words }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($pages > 1)
            <p class="mt-2">
                @if ($page > 1)
                    <a class="pill" href="{{ route('audit', array_filter(['kind' => $kind, 'q' => $q, 'page' => $page - 1])) }}">‹
                        newer</a>
                    @endif page {{ $page }} of {{ $pages }} @if ($page < $pages)
                        <a class="pill"
                            href="{{ route('audit', array_filter(['kind' => $kind, 'q' => $q, 'page' => $page + 1])) }}">older ›</a>
                    @endif
            </p>
        @endif
    @endif
</x-app>
