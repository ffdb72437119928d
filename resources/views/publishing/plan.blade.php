@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Shape;
    use Nomada\Core\Publishing\Place;
@endphp
<x-app title="Publish">
    <div class="bar">
        <h1>Publish</h1>
        <div class="sum">{{ Words::count($differs, 'section') }} {{ $differs === 1 ? 'differs' : 'differ' }} from what students see ·
            {{ $all - $differs }} {{ $all - $differs === 1 ? 'is' : 'are' }} as they should be</div>
        <nav class="end" aria-label="Show">
            @if ($show === 'chosen')
                <a class="pill on" href="{{ route('publishing', ['show' => 'chosen']) }}">Chosen {{ count($rows) }}</a>
            @endif
            <a @class(['pill', 'on' => !in_array($show, ['chosen', 'all'], true)]) href="{{ route(
                'publishing') }}">What differs {{ $differs }}</a>
            <a @class(['pill', 'on' => $show === 'all']) href="{{ route('publishing', ['show' => 'all']) }}">All {{ $all }}</a>
            <a class="pill" href="{{ route('runs') }}">Past runs</a>
            @if ($drifts > 0)
                <a class="pill" href="{{ route('drift') }}"><b
                        class="todo">{{ trans_choice('publishing.drift.link', $drifts) }}</b></a>
            @else
                <a class="pill" href="{{ route('drift') }}">{{ __('publishing.drift.title') }}</a>
            @endif
            @can('coordinate')
                <a class="pill" href="{{ route('showing') }}">{{ __('showing.title') }}</a>
                <a class="pill" href="{{ route('places') }}">{{ __('publishing.places.title') }}</a>
            @endcan
        </nav>
    </div>
    @if ($rows === [])
        <div class="empty">
            <h2>Everything stands as it should</h2>Nothing differs from what students see. <a
                href="{{ route('publishing', ['show' => 'all']) }}">Show all sections</a>
        </div>
    @else
        <form method="post" action="{{ route('publishing.store') }}" x-data="plan" data-open="{{ $open }}">
            @csrf
            <table class="plan">
                <thead>
                    <tr>
                        <th class="c-pick" scope="col"><input class="form-check-input" type="checkbox" checked x-on:change="chooseAll"
                                aria-label="Choose all sections"></th>
                        <th class="c-section" scope="col"><small>Section</small></th>
                        @foreach (Place::cases() as $place)
                            @php
                                $t = $total[$place->value];
                                $parts = array_filter(['add' => $t['add'], 'change' => $t['change'], 'remove' => $t['remove']]);
                            @endphp
                            <th scope="col">
                                {{ $place->title() }}<small>{{ $parts === [] ? 'nothing to do' : implode(' · ', array_map(fn($v, $n) =>
                                    "$n $v", array_keys($parts), $parts)) }}</small>
                            </th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $row)
                        @php $s = $row['section']; @endphp
                        <tr>
                            <td>
                                @if ($mayAll || Gate::check('serve', $s))
                                    <input class="form-check-input" type="checkbox" name="sections[]" value="{{ $s->sourced_id }}"
                                        data-steps="{{ implode(' ', $row['steps']) }}" @checked($row['differs'] > 0)
                                        aria-label="Choose {{ $s->name() }}">
                                @endif
                            </td>
                            <td><button class="toggle" type="button" aria-expanded="false" data-section="{{ $s->sourced_id }}"
                                    data-url="{{ route('publishing.section', $s) }}">{{ $s->name() }}</button><small
                                    class="note">{{ $row['note'] }}</small></td>
                            @foreach ($row['places'] as $n)
                                <td>
                                    <div class="five">
                                        @foreach (['add', 'change', 'remove', 'trouble', 'leave'] as $verb)
                                            <span>
                                                @if ($n[$verb] > 0)
                                                    {{ Shape::svg(
                                                        $verb === 'trouble' ? 'wrong' : $verb,
                                                        [
                                                            'trouble' => 'refused',
                                                            'leave' => 'as it should be',
                                                        ][$verb] ?? $verb,
                                                    ) }}{{ $n[$verb] }}
                                                @endif
                                            </span>
                                        @endforeach
                                    </div>
                                </td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <div class="legend"><span><x-shape is="add" />add</span><span><x-shape is="change" />change</span><span><x-shape
                        is="remove" />remove</span><span><x-shape is="wrong" />refused last time</span><span><x-shape
                        is="past" />as it should be</span>
                @can('coordinate')
                    <a class="ms-auto" href="{{ $controls }}">How the stand-ins behave</a>
                @endcan
            </div>
            @if ($steps > 0)
                <div class="tray shown" role="region" aria-label="Carry out the plan"><b
                        x-text="words()">{{ Words::count($steps, 'placement') }}</b><span class="names" x-text="of()"></span>
                    <span class="only">{{ __('publishing.runs.where') }}
                        @foreach (Place::cases() as $place)
                            <label><input class="form-check-input" type="checkbox" name="places[]" value="{{ $place->value }}" checked>
                                {{ $place->title() }}</label>
                        @endforeach
                    </span>
                    @include('publishing.later')
                    <a class="btn btn-side" href="{{ route('board') }}">Back</a><button class="btn btn-main" x-text="label()"
                        x-bind:disabled="none()">Publish</button>
                </div>
            @endif
        </form>
    @endif
</x-app>
