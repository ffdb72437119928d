{{-- What may move. page: FixPage --}}
<form class="card-s" id="ask" method="post" action="{{ route('fix.ask') }}">@csrf
    <h2>{{ __('fix.may_move') }}</h2>
    <div class="fix-question">
        <label for="scope">{{ __('fix.scope.label') }}</label>
        <select class="form-select" id="scope" name="scope">
            @foreach ($page->scopes as $value => $words)
                <option value="{{ $value }}" @selected(old('scope', $page->scope) === $value)>{{ $words }}</option>
            @endforeach
        </select>
        <span>{{ __('fix.from') }}</span>
        <span><x-date name="from" :value="$page->question->from->iso()" :label="__('fix.from')" /></span>
        <span>{{ __('fix.hours_label') }}</span>
        <span class="inline"><x-from-to :names="['open', 'close']" :from="$page->opens()" :to="$page->closes()" /></span>
        <label for="grid">{{ __('fix.grid') }}</label>
        <select class="form-select" id="grid" name="grid">
            @foreach ($page->grids() as $grid)
                <option value="{{ $grid }}" @selected((int) old('grid', $page->question->rules->grid) === $grid)>
                    {{ __('fix.minutes', [
                        'n' => $grid,
                    ]) }}
                </option>
            @endforeach
        </select>
        <label for="students">{{ __('fix.students') }}</label>
        <select class="form-select" id="students" name="students">
            @foreach (__('fix.students_as') as $value => $words)
                <option value="{{ $value }}" @selected(old('students', $page->question->rules->studentsMust ? 'must'
                    : 'should') === $value)>{{ $words }}</option>
            @endforeach
        </select>
    </div>
    <h3 class="mt-3">{{ __('fix.pinned') }}</h3>
    @forelse ($page->pinned as $id => $name)
        <p class="mb-1"><input type="hidden" name="pins[]" value="{{ $id }}">{{ $name }}
            <button class="btn btn-plain" name="unpin" value="{{ $id }}">{{ __('fix.unpin') }}<span class="visually-hidden">
                    {{ $name }}</span></button>
        </p>
    @empty
        <p class="quiet">{{ __('fix.no_pins') }}</p>
    @endforelse
    <button
        class="btn {{ $page->state === null ? 'btn-main' : 'btn-side' }}">{{ __($page->state === null ? 'fix.compute'
            : 'fix.again') }}</button>
</form>
