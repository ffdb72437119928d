{{-- Days that go by another plan than the usual one --}}
<h3 class="mt-2">{{ __('term.short_days.title') }}</h3>
@foreach ($page->usual->shortDays as $short)
    <div class="mb-1">{{ $short->day }}: {{ $short->reason }} <span class="quiet">({{ $short->plan }})</span>
        @if ($page->mayChange)
            <x-act :to="route('short-days.destroy', $short->id)" method="delete" class="btn-plain py-0" :do="__('term.short_days.usual')"
                :about="$short->day" />
        @endif
    </div>
@endforeach
@if ($page->mayChange)
    <x-more :title="__('term.short_days.add')" :of="['short_day', 'short_plan', 'short_reason']">
        <form method="post" action="{{ route('short-days.store') }}" class="mt-1">@csrf
            <div class="d-flex gap-2 mb-2">
                <x-date name="short_day" :label="__('term.short_days.day')" :in="$page->calendar" />
                <select class="form-select" name="short_plan" aria-label="{{ __('term.short_days.plan') }}">
                    @foreach ($page->usual->plans as $plan)
                        <option value="{{ $plan->id }}" @selected(old('short_plan') === null ? !$plan->isUsual : (string) old(
                            'short_plan') === (string) $plan->id)>{{ $plan->name }}</option>
                    @endforeach
                </select>
            </div>
            <input class="form-control mb-2" name="short_reason" maxlength="80" aria-label="{{ __('term.short_days.why') }}"
                placeholder="{{ __('term.short_days.like') }}" value="{{ old('short_reason') }}">
            <x-faults class="mb-2" :of="['short_day', 'short_plan', 'short_reason']" />
            @include('term.term.look-and-save')
        </form>
    </x-more>
@endif
