@php use Nomada\App\Support\Words; @endphp
<x-app :title="'Live: ' . $live->name">
    <div class="bar">
        <h1>{{ $live->name }}</h1>
        <div class="sum">{{ $live->zone->dateAt($live->start)->short() }},
            {{ $live->zone->clock($live->start) }}–{{ $live->zone->clock($live->end) }} · <b>{{ $words }}</b></div>
        <div class="end">
            @if ($live->hostLink)
                <a class="btn btn-main" href="{{ $live->hostLink }}">Come in as the teacher</a>
                @endif @if ($live->other)
                    <a class="btn btn-side" href="{{ $live->other }}">{{ $live->isRehearsal ? 'The real one' : 'Rehearse' }}</a>
                @endif
        </div>
    </div>
    @if ($trouble)
        <p class="fault" role="alert">{{ $trouble }}</p>
    @endif
    @if ($live->isRehearsal && $state['inside'] === [])
        <form class="warn" method="post" action="{{ $live->page }}">@csrf<input type="hidden" name="rehearsal" value="1">A
            rehearsal brings invented students; nothing of it counts. <button class="btn btn-main ms-2" name="act"
                value="rehearse">Begin the rehearsal</button></form>
    @endif
    <p class="mt-2 mb-1 quiet">{{ $rules }}</p>
    <div x-data="live" data-url="{{ url()->full() }}">
        <div x-ref="people">@include('joining.live-people')</div>
    </div>
</x-app>
