@php
    use Nomada\App\Support\Words;
    use Nomada\Core\Term\LocalDate;
    use Nomada\Core\Term\TypedTime;
@endphp
<x-app title="To be made up">
    <div class="bar">
        <h1>To be made up</h1>
        <div class="sum">
            {{ $count === 0 ? 'every lost session is made up' : Words::count($count, 'session') . ' lost or cancelled, not made up' }}</div>
        <nav class="end" aria-label="Show"><a @class(['pill', 'on' => $reason === '']) href="{{ route('make-ups') }}">All</a>
            @foreach ($reasons as $r)
                <a @class(['pill', 'on' => $reason === $r]) href="{{ route('make-ups', ['reason' => $r]) }}">{{ $r }}</a>
            @endforeach
        </nav>
    </div>
    @if ($rows === [])
        <div class="empty">
            <h2>Nothing to make up</h2>Sessions that are lost to closed days or cancelled are listed here until they are made up.
        </div>
    @else
        <form method="post" action="{{ route('make-ups.store') }}">@csrf<input type="hidden" name="reason" value="{{ $reason }}">
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">Lost</th>
                        <th scope="col">Section</th>
                        <th scope="col">Best free times, {{ $zone->place() }} time</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        @php
                            $s = $row['session'];
                            $id = $s->id;
                        @endphp
                        <tr>
                            <td class="nowrap"><b>{{ $row['date']->short() }}</b><br><small>{{ $s->reason }}</small></td>
                            <td><a
                                    href="{{ route('section', [$s->series->section, 'session' => $id]) }}"><b>{{ $s->series->section->name(
                                        ) }}</b></a>
                                @if ($s->series->title !== $s->series->section->title)
                                    <br><small>{{ $s->series->title }}</small>
                                @endif
                            </td>
                            <td>
                                <fieldset class="offers">
                                    <legend class="visually-hidden">{{ $s->series->section->name() }}, {{ $row['date']->short() }}
                                    </legend>
                                    @forelse ($row['free'] as $f)
                                        @php $day = new LocalDate($f->firstDay); @endphp
                                        <label class="offer"><input class="form-check-input" type="radio"
                                                name="take[{{ $id }}]"
                                                value="{{ $day->iso() }} {{ $f->start }} {{ $f->minutes }} {{ $f->students }}"
                                                @checked($loop->first && $f->clear === $f->sessions
                                                    && $f->students === 0)><span><b>{{ $day->short() }}
                                                    {{ TypedTime::format($f->start) }}–{{ TypedTime::format($f->start
                                                        + $f->minutes) }}</b><small
                                                class="d-block {{ $f->clear === $f->sessions && $f->students === 0 ? 'good'
                                                    : 'quiet' }}">{{ $f->cost() }}</small></span></label>@empty<span
                                            class="quiet">No day is left for it.</span>
                                    @endforelse
                                    <label class="offer"><input class="form-check-input" type="radio" name="take[{{ $id }}]"
                                            value="" @checked(!isset($row['free'][0]) || $row['free'][0]->clear < 1 || $row['free'][
                                                0]->students > 0)> <span class="quiet">not now</span></label>
                                </fieldset>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <div class="mt-3 d-flex gap-2 align-items-center"><button class="btn btn-main">Make these up</button><a class="btn btn-side"
                    href="{{ route('term') }}">Leave them lost</a>
                @if ($pages > 1)<span class="ms-auto">
                        @if ($page > 1)
                            <a class="pill" href="{{ route('make-ups', array_filter(['reason' => $reason, 'page' => $page - 1])) }}">‹
                                before</a>
                        @endif <span class="quiet">page {{ $page }} of {{ $pages }}</span>
                        @if ($page < $pages)
                            <a class="pill" href="{{ route('make-ups', array_filter(['reason' => $reason, 'page' => $page + 1])) }}">next
                                ›</a>
                        @endif
                    </span>
                @endif
            </div>
            @error('take')
                <p class="fault" role="alert">{{ $message }}</p>
            @enderror
        </form>
    @endif
</x-app>
