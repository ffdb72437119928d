@php
    $mine = (string) old('plan') === (string) ($plan->id ?? '') && old('plan_name') !== null;
    $id = $plan->id ?? 'new';
@endphp
<form method="post" action="{{ route('day-plans.store') }}" class="my-2">@csrf @if ($plan)
        <input type="hidden" name="plan" value="{{ $plan->id }}">
    @endif
    <label class="form-label" for="plan-name-{{ $id }}">Name</label><input class="form-control mb-2"
        id="plan-name-{{ $id }}" name="plan_name" maxlength="60" value="{{ $mine ? old('plan_name') : $plan->name ?? '' }}">
    <label class="form-label" for="periods-{{ $id }}">Periods, one a line</label>
    <textarea class="form-control mb-2" id="periods-{{ $id }}" name="periods" rows="6"
        placeholder="1 9:00-9:45&#10;2 10:00-10:45">{{ $mine ? old('periods') : $plan?->toCore()->typed() ?? '' }}</textarea>
    @if ($mine || ($plan === null && !old('plan')))
        @foreach (['plan_name', 'periods'] as $f)
            @error($f)
                <div class="invalid mb-2" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
    @endif
    @if (!($plan->is_usual ?? false))
        <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="is_usual" value="1"> the usual plan of an
            open day</label>
    @endif
    <button class="btn btn-side" name="look" value="1">What would change?</button> <button class="btn btn-main">Save</button>
</form>
