@push('head')@if (!$isOver && $run->halted_at === null)
    <noscript>
        <meta http-equiv="refresh" content="3">
    </noscript>
@endif @endpush
<x-app :title="$run->kind === 'links' ? 'Making links' : 'Publish run'">
    <div class="bar">
        <h1>{{ $run->kind === 'links' ? 'Making join links' : 'Publish run' }}</h1>
        <div class="sum">begun {{ $zone->dateAt((int) $run->app_time->timestamp)->short() }}
            {{ $zone->clock((int) $run->app_time->timestamp) }}
            {{ $zone->place() }}{{ $run->starter ? ' by ' . $run->starter->name() : '' }}
        </div>
        <div class="end">
            @if ($run->halted_at !== null)
                <x-act :to="route('run.go-on', $run)" :do="__('publishing.runs.go_on')" class="pill" />
            @elseif (!$isOver || $run->scope !== null)
                <x-act :to="route('run.halt', $run)" :do="$run->scope !== null ? __('publishing.later.cancel') : __('publishing.runs.halt')"
                    class="pill" />
            @endif
            <a class="pill" href="{{ route('run.csv', $run) }}">{{ __('publishing.runs.csv') }}</a>
            <a class="pill" href="{{ route('runs') }}">Past runs</a><a class="pill" href="{{ route('board') }}">Every
                section</a>
        </div>
    </div>
    <div x-data="progress" data-url="{{ route('run.progress', $run) }}" id="progress">@include('publishing.run-progress')</div>
</x-app>
