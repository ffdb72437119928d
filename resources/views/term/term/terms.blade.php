{{-- All terms of the school: adding one, copying another's plan, removing an empty one --}}
<x-card :title="__('term.terms.title')">
    @foreach ($page->terms as $one)
        <div class="mb-1">{{ $one->title }}
            <span class="quiet">{{ $one->first }} – {{ $one->last }} {{ $one->lastYear }} ·
                {{ trans_choice('count.sections', $one->sections) }}</span>
            @if ($one->sections === 0)
                <x-act :to="route('terms.destroy', $one->id)" method="delete" class="btn-plain py-0" :do="__('term.terms.remove')"
                    :about="$one->title" />
            @endif
        </div>
    @endforeach
    <x-faults :of="['term']" />
    @if ($page->others() !== [])
        <x-more :title="__('term.terms.copy')" :of="['from']">
            <form method="post" action="{{ route('terms.copy') }}" class="mt-1">@csrf
                <select class="form-select mb-2" name="from" aria-label="{{ __('term.terms.from') }}">
                    @foreach ($page->others() as $one)
                        <option value="{{ $one->id }}">{{ $one->title }}</option>
                    @endforeach
                </select>
                <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="with_students" value="1">
                    {{ __('term.terms.with_students') }}</label>
                <x-faults class="mb-2" :of="['from']" />
                <button class="btn btn-side">{{ __('term.terms.do_copy') }}</button>
            </form>
        </x-more>
    @endif
    <x-more :title="__('term.terms.add')" :of="['term_title', 'term_first', 'term_last']">
        <form method="post" action="{{ route('terms.store') }}" class="mt-1">@csrf
            <input class="form-control mb-2" name="term_title" maxlength="80" aria-label="{{ __('term.terms.name') }}"
                placeholder="{{ __('term.terms.like') }}" value="{{ old('term_title') }}">
            <div class="d-flex gap-2 mb-2">
                <x-date name="term_first" :label="__('term.terms.first')" />
                <x-date name="term_last" :label="__('term.terms.last')" />
            </div>
            <x-faults class="mb-2" :of="['term_title', 'term_first', 'term_last']" />
            <button class="btn btn-side">{{ __('term.terms.do_add') }}</button>
        </form>
    </x-more>
</x-card>
