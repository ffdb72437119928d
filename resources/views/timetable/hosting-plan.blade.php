@php
    $mine = (string) old('plan') === (string) ($plan->id ?? '') && old('plan_name') !== null;
    $id = $plan->id ?? 'new';
@endphp
<form method="post" action="{{ route('hosting-plans.store') }}" class="my-2">
    @csrf @if ($plan)
        <input type="hidden" name="plan" value="{{ $plan->id }}">
    @endif
    <label class="form-label" for="hp-name-{{ $id }}">Name</label><input class="form-control mb-2" id="hp-name-{{ $id }}"
        name="plan_name" maxlength="60" value="{{ $mine ? old('plan_name') : $plan->name ?? '' }}">
    <div class="d-flex gap-2 mb-2">
        @foreach (['seats' => 'Seats', 'minutes' => 'Minutes', 'at_once' => 'At one time'] as $name => $label)
            <div class="flex-fill"><label class="form-label"
                    for="hp-{{ $name }}-{{ $id }}">{{ $label }}</label><input class="form-control"
                    id="hp-{{ $name }}-{{ $id }}" name="{{ $name }}" inputmode="numeric"
                    value="{{ $mine ? old($name) : $plan->{$name} ?? ($name === 'at_once' ? 1 : '') }}"></div>
        @endforeach
    </div>
    @if ($mine || $plan === null)
        @foreach (['plan_name', 'seats', 'minutes', 'at_once'] as $f)
            @error($f)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
    @endif
    <button class="btn btn-side">Save the plan</button>
</form>
