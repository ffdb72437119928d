@php use Nomada\App\Support\Words; @endphp
<x-app :title="'Live: '.$section->name()">
<div class="bar"><h1>{{ $section->name() }}{{ $isRehearsal ? ', rehearsal' : '' }}</h1><div class="sum">{{ $zone->dateAt($core->start)->short() }}, {{ $zone->clock($core->start) }}–{{ $zone->clock($core->end) }} · <b>{{ $words }}</b></div>
    <div class="end">@if ($host && ! $isRehearsal)<a class="btn btn-main" href="{{ $host }}">Come in as the teacher</a>@endif @if ($isRehearsal)<a class="btn btn-side" href="{{ route('live', $session->id) }}">The real one</a>@else<a class="btn btn-side" href="{{ route('live', [$session->id, 'rehearsal' => 1]) }}">Rehearse</a>@endif</div></div>
@if ($trouble)<p class="fault" role="alert">{{ $trouble }}</p>@endif
@if ($isRehearsal && $state['inside'] === [])<form class="warn" method="post" action="{{ route('live.act', $session->id) }}">@csrf<input type="hidden" name="rehearsal" value="1">A rehearsal brings invented students; nothing of it counts. <button class="btn btn-main ms-2" name="act" value="rehearse">Begin the rehearsal</button></form>@endif
<p class="mt-2 mb-1 quiet">{{ $rules }}</p>
<div x-data="live" data-url="{{ url()->full() }}"><div x-ref="people">@include('joining.live-people')</div></div>
</x-app>
