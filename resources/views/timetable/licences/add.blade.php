{{-- More host accounts --}}
<x-card :title="__('licences.add.title')">
    <form method="post" action="{{ route('host-accounts.store') }}">@csrf
        <div class="inline mb-2">
            <input class="form-control n" name="many" inputmode="numeric" aria-label="{{ __('licences.add.many') }}"
                value="{{ old('many', 1) }}">
            <input class="form-control flex-fill w-auto" name="account_name" maxlength="50" aria-label="{{ __('licences.add.name') }}"
                placeholder="{{ __('licences.add.like') }}" value="{{ old('account_name') }}">
        </div>
        <div class="inline">
            <select class="form-select w-auto" name="of" aria-label="{{ __('licences.add.plan') }}">
                @foreach ($page->plans as $plan)
                    <option value="{{ $plan->id }}">{{ $plan->name }}</option>
                @endforeach
            </select>
            <button class="btn btn-side">{{ __('licences.add.do') }}</button>
        </div>
        <x-faults :of="['of', 'account_name', 'many']" />
    </form>
</x-card>
