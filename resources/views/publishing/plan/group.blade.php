{{-- Items of which the same is planned, in the same words. group: PlanGroup --}}
<details @if ($group->isOpen) open @endif>
    <summary><x-shape :is="$group->verb === 'leave' ? 'past' : $group->verb" /> <b>{{ __("plan.verbs.$group->verb") }}</b>
        @if ($group->count === 1)
            {{ $group->first }}
        @elseif ($group->isOfPeople)
            {{ trans_choice('plan.calendars', $group->count) }}
        @else
            {{ trans_choice('plan.items', $group->count, ['first' => $group->first, 'last' => $group->last]) }}
        @endif
    </summary>
    <dl>
        @forelse ($group->fields as $field)
            <dt>{{ $field->name }}</dt>
            <dd lang="{{ $plan->language }}">
                @if ($group->verb !== 'change')
                    <span class="lines">{{ $field->after }}</span>
                @else
                    @if ($field->before !== '')
                        <del>{{ $field->before }}</del>
                    @endif
                    @if ($field->after !== '')
                        <ins>{{ $field->after }}</ins>
                    @endif
                @endif
            </dd>
        @empty
            @if ($group->verb === 'change')
                <dt>{{ __('plan.inside') }}</dt>
                <dd>{{ __('plan.details') }}</dd>
            @endif
        @endforelse
    </dl>
    @if ($group->others !== [])
        <p class="more small">{{ __('plan.others') }} <x-some :of="$group->others" :most="5" by=", " after="." /></p>
    @endif
    @foreach ($group->troubles as $label => $said)
        <p class="bad small mb-1">{{ $label }}: {{ $said }}</p>
    @endforeach
</details>
