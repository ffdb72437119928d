@php use Nomada\App\Support\Words; @endphp
<p class="big mb-1">{{ Words::count($held, 'session') }} <span class="quiet">· {{ Words::minutes($minutes) }}</span></p>
<p class="mb-1">{{ $sentence }}.</p>
<p>@if ($first)From {{ $first->short() }} to {{ $last->short() }}, @endif{{ $plan->times() }} {{ $plan->zone->place() }} time{{ $past > 0 ? " · $past of them ".($past === 1 ? 'is' : 'are').' past' : '' }}</p>
<x-term-line :line="$line" :days="$days" :today="$today" :minute="$minute" name="What this makes"/>
@if ($short > 0)<p class="warn">Only {{ $held }} fit before the term ends; {{ $short }} do not.</p>@endif
@if ($lost !== [])
    <ul class="lost">@foreach ($lost as $reason => $dates)<li><b>{{ count($dates) }} lost, {{ $reason }}:</b> {{ implode(', ', $dates) }}</li>@endforeach</ul>
@else<p class="quiet">Nothing falls on a closed day.</p>@endif
@if ($reach)
    <p class="{{ $reach['move'] + $reach['come'] + $reach['go'] > 0 ? 'warn' : 'said' }}">
        @if ($reach['move'] + $reach['come'] + $reach['go'] === 0)No coming session changes.@else Saving: {{ implode(', ', array_filter([$reach['move'] > 0 ? Words::count($reach['move'], 'session').' move' . ($reach['move'] === 1 ? 's' : '') : '', $reach['come'] > 0 ? $reach['come'].' new' : '', $reach['go'] > 0 ? $reach['go'].' fall away' : '', $reach['stay'] > 0 ? $reach['stay'].' stay' : ''])) }}.@endif
        {{ $reach['started'] > 0 ? Words::count($reach['started'], 'session').' that '.($reach['started'] === 1 ? 'has' : 'have').' begun stay'.($reach['started'] === 1 ? 's' : '').' as '.($reach['started'] === 1 ? 'it is' : 'they are').'.' : '' }}</p>
@endif
