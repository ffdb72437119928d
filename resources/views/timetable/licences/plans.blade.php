{{-- The hosting plans --}}
<x-card :title="__('licences.plans.title')">
    @foreach ($page->plans as $plan)
        <details class="mb-1" @if ($plan->isTyped) open @endif>
            <summary><b>{{ $plan->name }}</b> <span class="quiet">{{ __('licences.plans.sum', $plan->fields) }} ·
                    {{ trans_choice('licences.plans.accounts', $plan->accounts) }}{{ isset($page->load?->needs[$plan->name]) ? ', '
                        . trans_choice('licences.plans.needed', $page->load->needs[$plan->name]) : '' }}</span>
            </summary>
            @include('timetable.licences.plan')
            <x-act :to="route('hosting-plans.destroy', $plan->id)" method="delete" class="btn-plain py-0" :do="__('term.plans.take_out')"
                :about="$plan->name" />
        </details>
    @endforeach
    <x-more :title="__('licences.plans.add')" :open="$page->plans === [] || $page->newPlan->isTyped">
        @include('timetable.licences.plan', ['plan' => $page->newPlan])
    </x-more>
</x-card>
