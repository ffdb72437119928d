{{-- The form of one plan of periods. plan: PlanRow --}}
<form method="post" action="{{ route('day-plans.store') }}" class="my-2">@csrf
    @if ($plan->id !== null)
        <input type="hidden" name="plan" value="{{ $plan->id }}">
    @endif
    <label class="form-label" for="plan-name-{{ $plan->id ?? 'new' }}">{{ __('term.plans.name') }}</label>
    <input class="form-control mb-2" id="plan-name-{{ $plan->id ?? 'new' }}" name="plan_name" maxlength="60" value="{{ $plan->name }}">
    <label class="form-label" for="periods-{{ $plan->id ?? 'new' }}">{{ __('term.plans.lines') }}</label>
    <textarea class="form-control mb-2" id="periods-{{ $plan->id ?? 'new' }}" name="periods" rows="6"
        placeholder="1 9:00-9:45&#10;2 10:00-10:45">{{ $plan->periods }}</textarea>
    @if ($plan->isTyped)
        <x-faults class="mb-2" :of="['plan_name', 'periods']" />
    @endif
    @if (!$plan->isUsual)
        <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="is_usual" value="1">
            {{ __('term.plans.make_usual') }}</label>
    @endif
    @include('term.term.look-and-save')
</form>
