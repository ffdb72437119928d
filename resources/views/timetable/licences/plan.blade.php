{{-- The form of one hosting plan. plan: PlanForm --}}
<form method="post" action="{{ route('hosting-plans.store') }}" class="my-2">@csrf
    @if ($plan->id !== null)
        <input type="hidden" name="plan" value="{{ $plan->id }}">
    @endif
    <label class="form-label" for="hp-name-{{ $plan->id ?? 'new' }}">{{ __('licences.plans.name') }}</label>
    <input class="form-control mb-2" id="hp-name-{{ $plan->id ?? 'new' }}" name="plan_name" maxlength="60" value="{{ $plan->name }}">
    <div class="d-flex gap-2 mb-2">
        @foreach ($plan->fields as $field => $value)
            <div class="flex-fill">
                <label class="form-label" for="hp-{{ $field }}-{{ $plan->id ?? 'new' }}">{{ __("licences.fields.$field") }}</label>
                <input class="form-control" id="hp-{{ $field }}-{{ $plan->id ?? 'new' }}" name="{{ $field }}"
                    inputmode="numeric" value="{{ $value }}">
            </div>
        @endforeach
    </div>
    @if ($plan->isTyped)
        <x-faults :of="['plan_name', 'seats', 'minutes', 'at_once']" />
    @endif
    <button class="btn btn-side">{{ __('licences.plans.save') }}</button>
</form>
