{{-- What is asked --}}
@if ($page->seatsLeft !== null)
    <p @class(['todo' => $page->seatsLeft === 0])>{{ trans_choice('register.seats', $page->seatsLeft) }}</p>
@endif
<form method="post" action="{{ route('register.store', $page->series) }}" class="mt-3">@csrf
    <label for="typed_name">{{ __('register.name') }}</label>
    <input class="form-control mb-2" id="typed_name" name="typed_name" maxlength="160" autocomplete="name" required
        value="{{ old('typed_name', $page->person->name()) }}" @error('typed_name') aria-invalid="true" @enderror>
    <x-faults :of="['typed_name']" />
    <label for="typed_email">{{ __('register.email') }}</label>
    <input class="form-control mb-2" id="typed_email" name="typed_email" type="email" maxlength="160" autocomplete="email" required
        value="{{ old('typed_email', $page->person->email) }}" @error('typed_email') aria-invalid="true" @enderror>
    <x-faults :of="['typed_email']" />
    @if ($page->each)
        <fieldset class="mt-2">
            <legend>{{ __('register.which') }}</legend>
            @foreach ($page->days as $day => $words)
                <div class="form-check"><input class="form-check-input" type="checkbox" id="day-{{ $day }}" name="days[]"
                        value="{{ $day }}" @checked(in_array($day, (array) old('days', []), true))><label class="form-check-label"
                        for="day-{{ $day }}">{{ $words }}</label></div>
            @endforeach
        </fieldset>
        <x-faults :of="['days', 'days.*']" />
    @endif
    <x-faults class="fault" :of="['name']" />
    <p class="quiet mt-2 mb-0">{{ __($page->isAtOnce ? 'register.checked.now' : 'register.checked.soon') }}</p>
    <button class="act main">{{ __('register.go') }}</button>
</form>
