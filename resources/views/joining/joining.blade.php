@php use Nomada\App\Support\Words; use Nomada\Core\Joining\JoinCode; @endphp
<x-app title="Joining">
<div class="bar"><h1>Joining</h1><div class="sum">{{ Words::count($all, 'series', 'series') }} · <span @class(['todo' => $missing > 0])>{{ $missing === 0 ? 'all linked' : "$missing without a join link" }}</span></div>
    <nav class="end" aria-label="Show"><a @class(['pill', 'on' => $show !== 'missing']) href="{{ route('joining') }}">All {{ $all }}</a><a @class(['pill', 'on' => $show === 'missing']) href="{{ route('joining', ['show' => 'missing']) }}">Without link {{ $missing }}</a></nav></div>
@if ($rows === [])<div class="empty"><h2>{{ $all === 0 ? 'No series yet' : 'Every series has its link' }}</h2>{{ $all === 0 ? 'Plan a section\'s series first; a link is made for it here.' : 'Nothing is left to do at this stop.' }}</div>@else
<form method="post" action="{{ route('links.store') }}" x-data="board">@csrf
<table class="table-plain"><thead><tr><th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll" aria-label="Choose all"></th><th scope="col">Series</th><th scope="col">Join link</th><th scope="col">Join code</th><th scope="col">By phone</th><th scope="col">Door</th></tr></thead><tbody>
    @foreach ($rows as $row)
        <tr><td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row['section']->sourced_id }}" data-name="{{ $row['section']->name() }}" aria-label="Choose {{ $row['section']->name() }}"></td>
            <td><a href="{{ route('section', $row['section']) }}"><b>{{ $row['section']->name() }}</b></a>{{ $row['series']->title === $row['section']->title ? '' : ': '.$row['series']->title }}<br><small>{{ $row['series']->plan()->sentence() }}</small></td>
            @if ($row['link'])<td><a class="mono" href="{{ $row['link']->address() }}">…{{ substr($row['link']->address(), -12) }}</a> <x-copy :text="$row['link']->address()"/></td><td class="mono nowrap">{{ JoinCode::show($row['link']->join_code) }}</td><td class="nowrap">{{ $row['link']->dial_in }}<br><small>PIN {{ $row['link']->pin }}</small></td><td>opens 10 min before; registered students only</td>
            @else<td colspan="4"><span class="todo">no link</span></td>@endif</tr>
    @endforeach
</tbody></table>
<div class="tray" role="region" aria-label="What to do with the chosen sections"><b x-text="words()">Chosen</b><span class="names" x-text="names"></span><button class="btn btn-side" type="button" x-on:click="clear">None</button><button class="btn btn-main">Make links</button></div>
</form>@endif
</x-app>
