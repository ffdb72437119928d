{{-- Plans of the periods of a day, and the days that go by another one --}}
<x-card :title="__('term.plans.title')">
    @forelse ($page->usual->plans as $plan)
        <details class="mb-1" @if ($plan->isTyped) open @endif>
            <summary><b>{{ $plan->name }}</b>
                <span
                    class="quiet">{{ trans_choice($plan->isUsual ? 'term.plans.usual_periods' : 'term.plans.periods',
                        $plan->count) }}</span>
            </summary>
            @if ($page->mayChange)
                @include('term.term.plan', ['plan' => $plan])
                <x-act :to="route('day-plans.destroy', $plan->id)" method="delete" class="btn-plain py-0" :do="__('term.plans.take_out')"
                    :about="$plan->name" />
            @else
                <pre class="mb-1">{{ $plan->periods }}</pre>
            @endif
        </details>
    @empty
        <p class="quiet">{{ __('term.plans.none') }}</p>
    @endforelse
    @if ($page->mayChange)
        <x-more :title="__('term.plans.add')" :open="$page->usual->newPlan->isTyped">
            @include('term.term.plan', ['plan' => $page->usual->newPlan])
        </x-more>
    @endif
    @if ($page->usual->plans !== [])
        @include('term.term.short-days')
    @endif
</x-card>
