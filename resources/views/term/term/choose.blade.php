{{-- Which term the screens are about --}}
<form method="post" action="{{ route('term.choose') }}" class="d-flex gap-2">@csrf
    <label class="visually-hidden" for="term">{{ __('term.title') }}</label>
    <select class="form-select w-auto" id="term" name="term">
        @foreach ($page->terms as $one)
            <option value="{{ $one->id }}" @selected($one->id === $page->id)>{{ $one->title }}, {{ $one->first }} {{ $one->year }}
            </option>
        @endforeach
    </select>
    <button class="btn btn-side">{{ __('term.look') }}</button>
</form>
