@php use Nomada\App\Support\Words; use Nomada\Core\Term\LocalDate; @endphp
<x-app title="Term">
<div class="bar"><h1>{{ $term->title }}</h1><div class="sum">{{ $calendar->first->short() }} to {{ $calendar->last->short() }} · {{ Words::count($openDays, 'school day') }} · {{ Words::count($calendar->weeks(), 'week') }} · {{ $calendar->zone->name }}</div>
    @can('coordinate')<div class="end"><a class="btn btn-side" href="{{ route('import') }}">Import a school…</a></div>@endcan</div>
@isset($closing)
<form class="warn" method="post" action="{{ route('closures.store') }}" role="region" aria-label="Before it is saved">@csrf
    <input type="hidden" name="first" value="{{ $closing->first->iso() }}"><input type="hidden" name="last" value="{{ $closing->last->iso() }}"><input type="hidden" name="reason" value="{{ $closing->reason }}">
    <b>{{ $closing->reason }}, {{ $closing->first->short() }}{{ $closing->last->day > $closing->first->day ? ' to '.$closing->last->short() : '' }}:</b> {{ Words::count($effect['sessions'], 'session') }} of {{ Words::count($effect['sections'], 'section') }} would be lost.{{ $effect['begun'] > 0 ? ' '.Words::count($effect['begun'], 'session').' that '.($effect['begun'] === 1 ? 'has' : 'have').' begun stay.' : '' }}
    <button class="btn btn-main ms-3">Close these days</button> <a class="btn btn-side" href="{{ route('term') }}">Leave them open</a></form>
@endisset
<div class="columns mt-2">
<table class="weeks"><thead><tr><th class="wk" scope="col">Week</th>@foreach (['Mon', 'Tue', 'Wed', 'Thu', 'Fri'] as $d)<th scope="col">{{ $d }}</th>@endforeach</tr></thead><tbody>
    @foreach ($weeks as $week)
        <tr><th scope="row">{{ $week['n'] }} · {{ $week['monday']->dayMonth() }}@if ($week['change'])<br><span class="todo">{{ $week['change'] }}</span>@endif</th>
        @foreach ($week['days'] as $day)
            @if (! $day['inTerm'])<td class="out">–</td>
            @elseif ($day['reason'] !== null)<td @class(['shut', 'today' => $day['date']->day === $today])><span>{{ $day['date']->parts()[2] }} · {{ $day['reason'] }}</span></td>
            @else<td @class(['today' => $day['date']->day === $today])><a href="{{ route('today', ['date' => $day['date']->iso()]) }}"><span class="d">{{ $day['date']->parts()[2] }}</span><span class="quiet">{{ $day['planned'] === 0 ? 'none' : Words::count($day['planned'], 'session') }}</span></a></td>@endif
        @endforeach</tr>
    @endforeach
</tbody></table>
<div>
    <section class="card-s"><h2>Closed days</h2>
        @forelse ($term->closures as $closure)
            @php $l = $lost->get($closure->reason); $first = LocalDate::parse($closure->starts_on); $last = LocalDate::parse($closure->ends_on); @endphp
            <p class="mb-2"><b>{{ $closure->reason }}</b><br>{{ $first->short() }}{{ $last->day > $first->day ? ' to '.$last->short() : '' }} <span class="quiet">· {{ $l ? Words::count((int) $l->sessions, 'session').' of '.Words::count((int) $l->sections, 'section').' lost' : 'no session lost' }}</span>
                @can('coordinate')<form class="d-inline" method="post" action="{{ route('closures.destroy', $closure) }}">@csrf @method('delete')<button class="btn btn-plain py-0">Open again<span class="visually-hidden">: {{ $closure->reason }}</span></button></form>@endcan</p>
        @empty<p class="quiet">No closed day is known. They come with the import, from closures.ics.</p>@endforelse
    </section>
    @can('coordinate')<section class="card-s"><h2>Close days</h2>
        <form method="get" action="{{ route('closures.preview') }}">
            <div class="d-flex gap-2 mb-2"><div class="flex-fill"><label class="form-label" for="first">From</label><input class="form-control" type="date" id="first" name="first" min="{{ $calendar->first->iso() }}" max="{{ $calendar->last->iso() }}" value="{{ old('first', isset($closing) ? $closing->first->iso() : '') }}"></div>
            <div class="flex-fill"><label class="form-label" for="last">To</label><input class="form-control" type="date" id="last" name="last" min="{{ $calendar->first->iso() }}" max="{{ $calendar->last->iso() }}" value="{{ old('last', isset($closing) ? $closing->last->iso() : '') }}"></div></div>
            <label class="form-label" for="reason">Why</label><input class="form-control mb-2" id="reason" name="reason" maxlength="80" value="{{ old('reason', isset($closing) ? $closing->reason : '') }}">
            @foreach (['first', 'last', 'reason'] as $f)@error($f)<div class="invalid mb-2" role="alert">{{ $message }}</div>@enderror @endforeach
            <button class="btn btn-side">What falls on it?</button></form></section>@endcan
    <section class="card-s"><h2>Open</h2><dl class="pairs"><dt>School days</dt><dd>{{ $openDays }}</dd><dt>Time zone</dt><dd>{{ $calendar->zone->name }}</dd><dt>Weekends</dt><dd>closed</dd></dl></section>
</div></div>
</x-app>
