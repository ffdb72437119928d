{{-- The closed days, and reading more of them from a calendar --}}
<x-card :title="__('term.closed.title')">
    @forelse ($page->closures->closed as $one)
        <div class="mb-2"><b>{{ $one->reason }}</b><br>
            {{ $one->last === null
                ? Say::day($one->first)
                : __('term.closed.range', ['first' => Say::day($one->first), 'last' => Say::day($one->last)]) }}
            <span class="quiet">·
                {{ trans_choice('term.closed.lost', $one->sessions, [
                    'sections' => trans_choice('count.sections', $one->sections),
                ]) }}</span>
            @if ($page->mayChange)
                <x-act :to="route('closures.destroy', $one->id)" method="delete" class="btn-plain py-0" :do="__('term.closed.open')"
                    :about="$one->reason" />
            @endif
        </div>
    @empty
        <p class="quiet">{{ __('term.closed.none') }}</p>
    @endforelse
    @if ($page->mayChange && $page->closures->toMakeUp > 0)
        <p class="mb-2"><a href="{{ route('make-ups') }}">{{ trans_choice('term.closed.make_up', $page->closures->toMakeUp) }}</a></p>
    @endif
    <p class="mb-1"><a href="{{ route('closures.export') }}">{{ __('term.closed.export') }}</a></p>
    @if ($page->mayChange)
        <x-more :title="__('term.closed.read')" :of="['calendar']">
            <form method="post" action="{{ route('closures.upload') }}" enctype="multipart/form-data" class="mt-2">@csrf
                <label class="form-label" for="calendar">{{ __('term.closed.file') }}</label>
                <input class="form-control mb-2" type="file" id="calendar" name="calendar" accept=".ics,text/calendar">
                <x-faults class="mb-2" :of="['calendar']" />
                <button class="btn btn-side">{{ __('term.look') }}</button>
            </form>
        </x-more>
    @endif
</x-card>
