@php
    use Nomada\Core\Term\LocalDate;
    use Nomada\Core\Term\TypedTime;
    use Nomada\Core\Timetable\Reach;
    $own = $core->own;
    $back = $back ?? null;
    $narrow = $narrow ?? false;
@endphp
<section id="session" class="one {{ $narrow ? 'is-narrow' : '' }}" aria-label="One session">
    <div class="one-head">
        <h2>
            @if ($narrow)
                <a href="{{ route('section', $section) }}">{{ $section->name() }}</a>@else{{ $day->short() }},
                {{ $start }}–{{ $end }}
            @endif
        </h2>
        <span
            class="quiet">{{ $narrow ? $day->short() . ", {$start}–{$end}" : $series->title }}{{ $core->state->value === 'planned' ? ''
                : ' · ' . $core->state->value . ': ' . $core->reason }}{{ $own?->words() ? ' · ' . $own->words() : '' }}{{ $own?->topic
                ? ' · ' . $own->topic : '' }}</span>
        @if ($elsewhere !== [])
            <span class="quiet">Starts at {{ implode(', ', $elsewhere) }}</span>
        @endif
        <a class="ms-auto" href="{{ $close }}">Close</a>
    </div>
    @if (!$isHeld && $madeUp)
        <p class="said">Made up on {{ $madeUp->short() }}.</p>
    @endif
    @if ($isHeld && !$isComing)
        <p class="quiet mb-0">It has begun; what has begun is not changed any more.</p>
    @endif
    <div class="one-parts">
        @if ($isHeld && $isComing)
            <form method="post" action="{{ route('session.move', [$section, $series, $one]) }}" x-data="mover"
                data-look="{{ route('session.look', [$section, $series, $one]) }}">@csrf
                <x-drawn :of="'place:' . $one->id" /> @method('put')
                @if ($back)
                    @foreach ($back as $name => $value)
                        <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                    @endforeach
                @endif
                <h3>Move or lengthen</h3>
                <div class="inline mb-2">
                    <x-date name="move_day" :value="$one->day" :min="$first->iso()" :max="$last->iso()" label="Day" />
                    <input class="form-control time" name="move_start" value="{{ old('move_start', $start) }}" aria-label="Starts at"
                        autocomplete="off">–<input class="form-control time" name="move_end" value="{{ old('move_end', $end) }}"
                        aria-label="Ends at" autocomplete="off">
                </div>
                @foreach (['move_day', 'move_start', 'move_end', 'reach'] as $f)
                    <div class="invalid" data-fault="{{ $f }}" role="alert">{{ $errors->first($f) }}</div>
                @endforeach
                <div x-ref="made" aria-live="polite">
                    @if ($one->is_extra)
                    <input type="hidden" name="reach" value="this">@else<fieldset class="reaches">
                            <legend>How far does it go?</legend>
                            @foreach (Reach::cases() as $r)
                                <label class="reach"><input class="form-check-input" type="radio" name="reach"
                                        value="{{ $r->value }}"
                                        @checked($r === Reach::This)><span><b>{{ ucfirst($r->words()) }}</b></span></label>
                            @endforeach
                        </fieldset>
                    @endif
                </div>
                <button class="btn btn-main mt-2">Move</button>
                @if ($free !== [])
                    <h3 class="mt-3">Free times for the series from here on</h3>
                    <ul class="free" aria-label="Free times">
                        @foreach ($free as $f)
                            @php $to = new LocalDate($day->day + $f->shift); @endphp
                            <li><b>{{ $f->words() }}</b><span
                                    class="{{ $f->clear === $f->sessions && $f->students === 0 ? 'good' : 'quiet' }}">{{ $f->cost(
                                        ) }}</span><button
                                    type="button" class="btn btn-side py-0"
                                    data-take="{{ $to->iso() }} {{ TypedTime::format($f->start) }} {{ TypedTime::format($f->start
                                        + $f->minutes) }} later"
                                    aria-label="Take {{ $f->words() }}">Take</button></li>
                        @endforeach
                    </ul>
                @endif
            </form>
            <div>
                <form method="post" action="{{ route('session.tell', [$section, $series,
                    $one]) }}">@csrf <x-drawn :of="'told:' . $one->id" />
                    @method('put')
                    <h3>Of this one only</h3>
                    <label class="form-label" for="one-teacher">Teacher</label><select class="form-select mb-2" id="one-teacher"
                        name="teacher">
                        <option value="">as the section's</option>
                        @foreach ($teachers as $t)
                            <option value="{{ $t->sourced_id }}" @selected($one->teacher_id === $t->id)>
                                {{ $t->family_name }}, {{ $t->given_name }}
                            </option>
                        @endforeach
                    </select>
                    <label class="form-label" for="one-title">Title</label><input class="form-control mb-2" id="one-title" name="title"
                        maxlength="120" value="{{ old('title', $one->title) }}" placeholder="{{ $one->topic }}">
                    <label class="form-label" for="one-note">Note, which students read</label><input class="form-control mb-2"
                        id="one-note" name="note" maxlength="400" value="{{ old('note', $one->note) }}">
                    @foreach (['teacher', 'title', 'note'] as $f)
                        @error($f)
                            <div class="invalid mb-1" role="alert">{{ $message }}</div>
                        @enderror
                    @endforeach
                    <button class="btn btn-side">Save for this one</button>
                </form>
                @if ($one->is_extra)
                    <form method="post" action="{{ route('session.remove', [$section, $series, $one]) }}" class="mt-3">@csrf
                        @method('delete')<button class="btn btn-wrong">Take this extra session out</button></form>
                @else<form method="post" action="{{ route('session.cancel', [$section, $series, $one]) }}" class="mt-3">
                        @csrf<x-drawn :of="'place:' . $one->id" /><label class="form-label" for="one-reason">Cancel it, because</label>
                        <div class="inline"><input class="form-control flex-fill w-auto" id="one-reason" name="reason" maxlength="160"
                                placeholder="Students read it"><button class="btn btn-wrong">Cancel this one</button></div>
                        @if ($series->topics_move && ($one->topic ?? '') !== '')
                            <label class="d-block mt-1"><input class="form-check-input" type="checkbox" name="keeps_topic"
                                    value="1"> its topic falls away with it (else the next session takes it)</label>
                        @endif
                    </form>
                @endif
            </div>
        @elseif (!$isHeld && !$madeUp)
            <div>
                <h3>Make it up</h3>
                @if ($makeUps === [])
                <p class="quiet">No day is left for it in the term.</p>@else<ul class="free" aria-label="Free times">
                        @foreach ($makeUps as $f)
                            @php $to = new LocalDate($f->firstDay); @endphp
                            <li><b>{{ $to->short() }}
                                    {{ TypedTime::format($f->start) }}–{{ TypedTime::format($f->start + $f->minutes) }}</b><span
                                    class="{{ $f->clear === $f->sessions && $f->students === 0 ? 'good' : 'quiet' }}">{{ $f->cost(
                                        ) }}</span>
                                <form method="post" action="{{ route('session.add', [$section, $series]) }}">@csrf<input type="hidden"
                                        name="makes_up" value="{{ $one->id }}"><input type="hidden" name="move_day"
                                        value="{{ $to->iso() }}"><input type="hidden" name="move_start"
                                        value="{{ TypedTime::format($f->start) }}"><input type="hidden" name="move_end"
                                        value="{{ TypedTime::format($f->start + $f->minutes) }}"><button class="btn btn-side py-0"
                                        aria-label="Take {{ $to->short() }} {{ TypedTime::format($f->start) }}">Take</button></form>
                            </li>
                        @endforeach
                    </ul>
                @endif
            </div>
            <div>
                <h3>At another time</h3>
                <form method="post" action="{{ route('session.add', [$section, $series]) }}">@csrf<input type="hidden"
                        name="makes_up" value="{{ $one->id }}">
                    <div class="inline mb-2">
                        <x-date name="move_day" :min="$first->iso()" :max="$last->iso()" label="Day" />
                        <input class="form-control time" name="move_start" aria-label="Starts at"
                            value="{{ old('move_start', $start) }}">–<input class="form-control time" name="move_end"
                            aria-label="Ends at" value="{{ old('move_end', $end) }}">
                    </div>
                    @foreach (['move_day', 'move_start', 'move_end', 'makes_up'] as $f)
                        @error($f)
                            <div class="invalid mb-1" role="alert">{{ $message }}</div>
                        @enderror
                    @endforeach
                    <button class="btn btn-main">
                        Make it up then</button>
                </form>
                @if ($core->state->value === 'cancelled' && $isComing)
                    <form method="post" action="{{ route('session.restore', [$section, $series, $one]) }}" class="mt-3">@csrf
                        @method('delete')<button class="btn btn-side">Hold it after all</button></form>
                @endif
            </div>
        @elseif ($core->state->value === 'cancelled' && $isComing)
            <form method="post" action="{{ route('session.restore', [$section, $series, $one]) }}">@csrf @method('delete')<button
                    class="btn btn-side">Hold it after all</button></form>
        @endif
    </div>
</section>
