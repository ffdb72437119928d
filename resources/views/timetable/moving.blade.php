@php
    use Nomada\App\Support\Words;
    $open = collect($reaches)->first(fn($r) => $r['fault'] === null);
@endphp
<fieldset class="reaches">
    <legend>To {{ $day->short() }}, {{ $times }}. How far does it go?</legend>
    @foreach ($doubts as $doubt)
        <p class="todo mb-1">{{ $doubt }}</p>
    @endforeach
    @foreach ($reaches as $r)
        @php
            $reach = $r['reach'];
            $cost = $r['cost'];
        @endphp
        <label class="reach"><input class="form-check-input" type="radio" name="reach" value="{{ $reach->value }}"
                @checked($open && $open['reach'] === $reach) @disabled($r['fault'] !== null)>
            <span><b>{{ ucfirst($reach->words()) }}</b>
                @if ($r['fault'])
                    <small class="bad d-block">{{ $r['fault'] }}</small>
                @else
                    <small class="d-block">
                        @if ($r['effect'])
                            <b>{{ $r['then'] }}</b>:
                            {{ implode(
                                ', ',
                                array_filter([
                                    $r['effect']['move'] > 0 ? Words::count($r['effect']['move'], 'session') . ' move' . ($r['effect'][
                                        'move'] === 1 ? 's' : '') : '',
                                    $r['effect']['come'] > 0 ? $r['effect']['come'] . ' new' : '',
                                    $r['effect']['go'] > 0 ? $r['effect']['go'] . ' fall away' : '',
                                    $r['effect']['lost'] > 0 ? $r['effect']['lost'] . ' lost to closed days' : '',
                                    $r['effect']['stay'] > 0 ? $r['effect']['stay'] . ' stay' : '',
                                ]),
                            ) ?:
                                'no coming session changes' }};
                            what has begun stays.
                        @else
                            1 session moves; the rest of the series stays.
                        @endif
                    </small>
                    @if ($r['fallen'] !== [])
                        <small class="todo d-block">Falls away:
                            {{ implode('; ', array_slice($r['fallen'], 0, 3)) }}{{ count($r['fallen']) > 3 ? ' and ' . (count($r[
                                'fallen']) - 3) . ' more' : '' }}.</small>
                    @endif
                    @if ($cost)
                        <small
                            class="d-block {{ $cost->clear < $cost->sessions ? 'bad' : ($cost->students > 0 ? 'todo'
                                : 'good') }}">{{ ucfirst($cost->cost()) }}.</small>
                    @endif
                @endif
            </span>
        </label>
    @endforeach
</fieldset>
