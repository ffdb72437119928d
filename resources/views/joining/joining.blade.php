@php use Nomada\App\Support\Words; $base = url('/sections'); @endphp
<x-app title="Joining">
<div class="bar"><h1>Joining</h1><div class="sum">{{ Words::count($all, 'series', 'series') }} · <span @class(['todo' => $missing > 0])>{{ $missing === 0 ? 'all linked' : "$missing without a join link" }}</span></div>
    <nav class="end" aria-label="Show"><a @class(['pill', 'on' => $show !== 'missing']) href="{{ route('joining') }}">All {{ $all }}</a><a @class(['pill', 'on' => $show === 'missing']) href="{{ route('joining', ['show' => 'missing']) }}">Without link {{ $missing }}</a></nav></div>
@if ($rows === [])<div class="empty"><h2>{{ $all === 0 ? 'No series yet' : 'Every series has its link' }}</h2>{{ $all === 0 ? 'Plan a section\'s series first; a link is made for it here.' : 'Nothing is left to do at this stop.' }}</div>@else
<form method="post" action="{{ route('links.store') }}" x-data="board">@csrf
<table class="table-plain"><thead><tr><th scope="col"><input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll" aria-label="Choose all"></th><th scope="col">Series</th><th scope="col">Join link</th><th scope="col">Join code</th><th scope="col">By phone</th><th scope="col">Door</th></tr></thead><tbody>
    @foreach ($rows as $row)
        <tr><td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $row->section }}" data-name="{{ $row->name }}" aria-label="Choose {{ $row->name }}"></td>
            <td><a href="{{ $base.'/'.rawurlencode($row->section) }}"><b>{{ $row->name }}</b></a>{{ $row->title === '' ? '' : ': '.$row->title }}<br><small>{{ $row->meets }}</small></td>
            @if ($row->link)<td><a class="mono" href="{{ $row->link }}">…{{ substr($row->link, -12) }}</a> <button type="button" class="btn btn-plain py-0" x-data="copy" data-text="{{ $row->link }}" x-on:click="copy" x-text="label">Copy</button></td><td class="mono nowrap">{{ $row->code }}</td><td class="nowrap">{{ $row->phone }}<br><small>PIN {{ $row->pin }}</small></td><td>opens 10 min before; registered students only</td>
            @else<td colspan="4"><span class="todo">no link</span></td>@endif</tr>
    @endforeach
</tbody></table>
<div class="tray" role="region" aria-label="What to do with the chosen sections"><b x-text="words()">Chosen</b><span class="names" x-text="names"></span><button class="btn btn-side" type="button" x-on:click="clear">None</button><button class="btn btn-main">Make links</button></div>
</form>@endif
</x-app>
