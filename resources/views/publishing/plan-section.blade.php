@php
    use Nomada\App\Destinations\FieldWords;
    use Nomada\App\Support\Words;
    use Nomada\Core\Publishing\Place;
@endphp
<div class="detail-grid">
    @foreach (Place::cases() as $place)
        @php $groups = collect($items[$place->value])->groupBy('verb'); @endphp
        <div>
            <h3>{{ $place->title() }}</h3>
            @forelse (['change', 'add', 'remove', 'leave'] as $verb)
                @if ($groups->has($verb))
                    @php
                        $group = $groups[$verb];
                        // Many readers get the same words; what they share is shown once.
                        $alike =
                            $verb === 'change'
                                ? $group->groupBy(
                                    fn($i) => json_encode(
                                        array_map(
                                            fn($c) => str_starts_with($c->field, 'link') ? $c->field : [$c->field, $c->before, $c->after],
                                            $i['changes'],
                                        ),
                                    ),
                                )
                                : collect([$group]);
                    @endphp
                    @foreach ($alike->take(6) as $some)
                        <details @if ($verb !== 'leave' && $loop->first) open @endif>
                            <summary><x-shape :is="['leave' => 'past'][$verb] ?? $verb" />
                                <b>{{ ['add' => 'Add', 'change' => 'Change', 'remove' => 'Remove', 'leave' => 'Leave as it is'][
                                    $verb] }}</b>
                                {{ $some->count() === 1
                                    ? $some[0]['label']
                                    : ($place === Place::Calendar
                                        ? Words::count($some->count(), 'calendar')
                                        : Words::count($some->count(), 'item') . ', ' . $some[0]['label'] . ' to ' . $some->last()[
                                            'label']) }}
                            </summary>
                            @if ($verb === 'change')
                                <dl>
                                    @foreach ($some[0]['changes'] as $c)
                                        <dt>{{ FieldWords::of($c->field, $some[0]['of']) }}</dt>
                                        <dd>
                                            @if ($c->before !== '')
                                                <del>{{ FieldWords::changed($c, $c->before) }}</del>
                                                @endif @if ($c->after !== '')
                                                    <ins>{{ FieldWords::changed($c, $c->after) }}</ins>
                                                @endif
                                        </dd>
                                    @endforeach
                                    @if ($some[0]['changes'] === [])
                                        <dt>Inside</dt>
                                        <dd>the event's details</dd>
                                    @endif
                                </dl>
                            @else
                                <dl>
                                    @foreach ($some[0]['fields'] as $field => $value)
                                        <dt>{{ FieldWords::of($field, $some[0]['of']) }}</dt>
                                        <dd>
                                            <span
                                                class="lines">{{ $place === Place::Calendar && $field === 'link' ? __(
                                                    'publishing.shown.own') : FieldWords::shown($field, $value) }}</span>
                                        </dd>
                                    @endforeach
                                </dl>
                                @if ($some->count() > 1)
                                    <p class="more small">The others say the same of their own week or person:
                                        {{ $some->slice(1, 5)->pluck('label')->implode(', ') }}{{ $some->count() > 6 ? ' and ' . (
                                            $some->count() - 6) . ' more' : '' }}.
                                    </p>
                                @endif
                            @endif
                            @foreach ($some->whereNotNull('trouble')->take(3) as $t)
                                <p class="bad small mb-1">{{ $t['label'] }}: {{ $t['trouble'] }}</p>
                            @endforeach
                        </details>
                    @endforeach
                    @if ($alike->count() > 6)
                        <p class="more small">and {{ $alike->count() - 6 }} changes of other words</p>
                    @endif
                @endif
            @empty
            @endforelse
            @if ($groups->isEmpty())
                <p class="quiet">Nothing of it stands here, and nothing is to.</p>
            @endif
        </div>
    @endforeach
</div>
