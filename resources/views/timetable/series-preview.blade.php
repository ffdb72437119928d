@php use Nomada\App\Support\Words; @endphp
<p class="big mb-1">
    {{ Words::count($held, 'session') }} <span class="quiet">· {{ Words::minutes($minutes) }}</span></p>
<p class="mb-1">{{ $sentence }}.</p>
<p>
    @if ($first)
        From {{ $first->short() }} to {{ $last->short() }},
    @endif{{ $plan->times() }} {{ $plan->zone->place() }}
    time{{ $past > 0 ? " · $past of them " . ($past === 1 ? 'is' : 'are') . ' past' : '' }}
</p>
<x-term-line :line="$line" :days="$days" :today="$today" :minute="$minute" name="What this makes" />
@foreach ($warnings as $warning)
    <p class="warn">{{ $warning }}</p>
@endforeach
@if ($cost !== null)
    <p class="{{ $cost->clear < $cost->sessions ? 'fault' : ($cost->students > 0 ? 'warn' : 'said') }}">{{ $cost->cost() }}.</p>
@endif
@if ($lost !== [])
    <ul class="lost">
        @foreach ($lost as $reason => $dates)
            <li><b>{{ count($dates) }} lost, {{ $reason }}:</b>
                {{ implode(', ', array_slice($dates, 0, 8)) }}{{ count($dates) > 8 ? ' and ' . (count($dates) - 8) . ' more' : '' }}</li>
        @endforeach
    </ul>
@else<p class="quiet">Nothing falls on a closed day.</p>
@endif
@if ($effect)
    <x-effect :effect="$effect" :fallen="$fallen" />
@endif
