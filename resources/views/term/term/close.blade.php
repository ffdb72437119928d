{{-- Closing days, with a look at what falls on them --}}
<x-card :title="__('term.close.title')">
    <form method="get" action="{{ route('closures.preview') }}">
        <div class="d-flex gap-2 mb-2">
            <div class="flex-fill"><label class="form-label" for="first">{{ __('term.close.from') }}</label>
                <x-date id="first" name="first" :in="$page->calendar" :value="$page->closures->closing?->closure->first->iso()" />
            </div>
            <div class="flex-fill"><label class="form-label" for="last">{{ __('term.close.to') }}</label>
                <x-date id="last" name="last" :in="$page->calendar" :value="$page->closures->closing?->closure->last->iso()" />
            </div>
        </div>
        <label class="form-label" for="reason">{{ __('term.close.why') }}</label>
        <input class="form-control mb-2" id="reason" name="reason" maxlength="80"
            value="{{ old('reason', $page->closures->closing?->closure->reason) }}">
        <x-faults class="mb-2" :of="['first', 'last', 'reason']" />
        <button class="btn btn-side">{{ __('term.close.do') }}</button>
    </form>
</x-card>
