{{-- What may move, by which rules, and what is supposed. page: FixPage --}}
<form class="card-s" id="ask" method="post" action="{{ route('fix.ask', $page->kind) }}">@csrf
    <h2>{{ $page->words('may_move') }}</h2>
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
        <span class="inline"><x-from-to :names="['open', 'close']" :from="$page->opens($page->question->rules->hours)"
            :to="$page->closes($page->question->rules->hours)" /></span>
        <label for="grid">{{ __('fix.grid') }}</label>
        <select class="form-select" id="grid" name="grid">
            @foreach ($page->grids() as $grid => $words)
                <option value="{{ $grid }}" @selected((int) old('grid', $page->question->rules->grid) === $grid)>{{ $words }}</option>
            @endforeach
        </select>
        <label for="students">{{ __('fix.students') }}</label>
        <select class="form-select" id="students" name="students">
            @foreach (__('fix.students_as') as $value => $words)
                <option value="{{ $value }}" @selected(old('students', $page->question->rules->studentsMust ? 'must'
                    : 'should') === $value)>
                    {{ $words }}</option>
            @endforeach
        </select>
    </div>
    @if ($page->isPlacing())
        <label class="d-block mt-2"><input class="form-check-input" type="checkbox" name="may_move" value="1"
                @checked(old('may_move', $page->question->mayMove))>
            {{ __('fix.place.others') }}</label>
    @endif
    <details class="mt-2" @if ($errors->hasAny(['pause', 'students_daily', 'teachers_daily', 'own_open', 'own_close',
        'own_hours'])) open @endif>
        <summary>{{ __('fix.rules.title') }}</summary>
        <div class="fix-question mt-2">
            <span>{{ __('fix.rules.own_hours') }}</span>
            <span class="inline"><x-from-to :names="['own_open', 'own_close']" :from="$page->opens($page->question->rules->ownHours)"
                :to="$page->closes($page->question->rules->ownHours)" /></span>
            <label for="own_must">{{ __('fix.rules.own_must') }}</label>
            <span><input class="form-check-input" type="checkbox" id="own_must" name="own_must" value="1"
                    @checked(old('own_must', $page->question->rules->ownHoursMust))></span>
            <label for="pause">{{ __('fix.rules.pause') }}</label>
            <input class="form-control time" id="pause" name="pause" type="number" min="0" max="60"
                value="{{ old('pause', $page->question->rules->pause) }}">
            <label for="students_daily">{{ __('fix.rules.students_daily') }}</label>
            <input class="form-control time" id="students_daily" name="students_daily" type="number" min="1" max="20"
                value="{{ old('students_daily', $page->question->rules->studentsDaily) }}">
            <label for="teachers_daily">{{ __('fix.rules.teachers_daily') }}</label>
            <input class="form-control time" id="teachers_daily" name="teachers_daily" type="number" min="1" max="20"
                value="{{ old('teachers_daily', $page->question->rules->teachersDaily) }}">
        </div>
        <p class="quiet mt-1">{{ __('fix.rules.hint') }}
            <a href="{{ route('wishes') }}">{{ trans_choice('fix.rules.wishes', $page->wishes) }}</a> ·
            <a href="{{ route('own-hours') }}">{{ __('own_hours.link') }}</a>
        </p>
    </details>
    <details class="mt-2" @if ($page->supposed !== [] || $errors->hasAny(['off_person', 'off_weekday', 'accounts', 'if_open',
        'if_close'])) open @endif>
        <summary>{{ __('fix.if.title') }}</summary>
        <div class="fix-question mt-2">
            <label for="off_person">{{ __('fix.if.teacher') }}</label>
            <select class="form-select" id="off_person" name="off_person">
                <option value=""></option>
                @foreach ($page->teachers as $id => $name)
                    <option value="{{ $id }}" @selected((int) old('off_person',
                        $page->question->whatIf->person) === $id)>{{ $name }}</option>
                @endforeach
            </select>
            <label for="off_weekday">{{ __('fix.if.weekday') }}</label>
            <select class="form-select" id="off_weekday" name="off_weekday">
                <option value=""></option>
                @foreach ($page->weekdays() as $weekday => $name)
                    <option value="{{ $weekday }}" @selected((int) old('off_weekday',
                        $page->question->whatIf->weekday) === $weekday)>{{ $name }}</option>
                @endforeach
            </select>
            <label for="accounts">{{ __('fix.if.accounts') }}</label>
            <input class="form-control time" id="accounts" name="accounts" type="number" min="1" max="200"
                value="{{ old('accounts', $page->question->whatIf->accounts) }}">
            <span>{{ __('fix.if.hours') }}</span>
            <span class="inline"><x-from-to :names="['if_open', 'if_close']" :from="$page->opens($page->question->whatIf->hours)"
                :to="$page->closes($page->question->whatIf->hours)" /></span>
        </div>
    </details>
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
