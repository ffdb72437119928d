@php
    use Nomada\App\Support\Words;
    $act = fn(string $act, string $person, string $label, string $class = 'btn-side') => new \Illuminate\Support\HtmlString(
        '<form class="d-inline" method="post" action="' .
            e($live->page) .
            '"><input type="hidden" name="_token" value="' .
            csrf_token() .
            '">' .
            \Nomada\App\Support\ActKey::field() .
            '<input type="hidden" name="act" value="' .
            $act .
            '"><input type="hidden" name="person" value="' .
            e($person) .
            '"><input type="hidden" name="rehearsal" value="' .
            ($live->isRehearsal ? 1 : 0) .
            '"><button class="btn ' .
            $class .
            ' py-0">' .
            $label .
            '</button></form>',
    );
@endphp
<div class="columns">
    <section class="card-s">
        <div class="d-flex gap-3 align-items-baseline">
            <h2>{{ Words::count(count($state['inside']), 'person', 'people') }} inside</h2>
            @if ($state['state'] === 'running' || $state['inside'] !== [])
                {{ $act('end', '', 'End it for everybody', 'btn-wrong') }}
            @endif
        </div>
        @if ($state['inside'] === [])
            <p class="quiet">
                {{ $state['state'] === 'over' ? 'It is over; nobody is left inside, and nobody comes back in.' : 'Nobody is inside yet.' }}
        </p>@else<ul class="live">
                @foreach ($state['inside'] as $p)
                    <li><span><b>{{ $p['name'] }}</b>
                            <small>{{ $p['host'] ? 'teacher' : '' }}{{ $p['floor'] ? 'has the floor' : '' }}{{ $p['late'] ? ' late'
                                : '' }}</small></span>
                        @if (!$p['host'])
                            <span>{{ $p['floor']
                                ? $act('take-floor', $p['person'], 'Take the floor back<span class="visually-hidden"> from ' . e($p['name'])
                                    . '</span>')
                                : $act('give-floor', $p['person'], 'Give the floor<span class="visually-hidden"> to ' . e($p['name'])
                                    . '</span>') }}
                                {{ $act('send-out', $p['person'], 'Send out<span class="visually-hidden"> ' . e($p['name'])
                                    . '</span>') }}</span>
                        @endif
                    </li>
                @endforeach
            </ul>
        @endif
    </section>
    <div>
        <section class="card-s">
            <div class="d-flex gap-3 align-items-baseline">
                <h2>{{ count($state['outside']) }} outside</h2>
                @if ($state['outside'] !== [])
                    {{ $act('let-in-all', '', $late ? 'Let all in, late' : 'Let all in', 'btn-main') }}
                @endif
            </div>
            @if ($state['outside'] === [])
            <p class="quiet">Nobody waits outside.</p>@else<ul class="live">
                    @foreach ($state['outside'] as $p)
                        <li><b>{{ $p['name'] }}</b><span>{{ $act(
                            'let-in',
                            $p['person'],
                            ($late ? 'Let in, late' : 'Let in') . '<span class="visually-hidden"> ' . e($p['name']) . '</span>',
                        ) }}
                                {{ $act('send-out', $p['person'], 'Send away<span class="visually-hidden"> ' . e($p['name'])
                                    . '</span>') }}</span>
                        </li>
                    @endforeach
                </ul>
            @endif
        </section>
        @if ($claims !== [])
            <x-door.claims :claims="$claims" :live="$live" />
        @endif
        @if ($missing !== [])
            <section class="card-s">
                <h2>{{ count($missing) }} not here</h2>
                <p class="quiet">{{ implode(', ', array_slice($missing, 0, 40)) }}{{ count($missing) > 40 ? '…' : '' }}</p>
            </section>
        @endif
    </div>
</div>
