@php use Nomada\App\Support\Words; @endphp
<x-app title="Past runs">
    <div class="bar">
        <h1>Past runs</h1>
        <div class="sum">{{ $runs->count() === 50 ? 'the last 50' : Words::count($runs->count(), 'run') }}</div>
        <div class="end"><a class="pill" href="{{ route('publishing') }}">Publish</a></div>
    </div>
    @if ($runs->isEmpty())
        <div class="empty">
            <h2>No run yet</h2>Make links or publish, and each run is listed here with what came of it.
        </div>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">Begun</th>
                    <th scope="col">What</th>
                    <th scope="col">By</th>
                    <th scope="col" class="num">Steps</th>
                    <th scope="col">How it ended</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($runs as $run)
                    @php
                        $failed = (int) $run->getAttribute('failed_count');
                        $waiting = (int) $run->getAttribute('waiting_count');
                    @endphp
                    <tr>
                        <td><a href="{{ route('run', $run) }}">{{ $zone->dateAt((int) $run->app_time->timestamp)->short() }}
                                {{ $zone->clock((int) $run->app_time->timestamp) }}</a></td>
                        <td>{{ $run->kind === 'links' ? 'made join links' : 'published' }}</td>
                        <td>{{ $run->starter?->name() ?? 'the console' }}</td>
                        <td class="num">{{ $run->getAttribute('steps_count') }}</td>
                        <td class="{{ $failed > 0 ? 'bad' : ($waiting > 0 ? 'todo' : 'good') }}">
                            {{ $waiting > 0 ? "$waiting still to do" : ($failed > 0 ? "$failed failed" : 'all done') }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
