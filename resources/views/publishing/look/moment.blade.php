{{-- From when on one looks. page: Look --}}
<form class="look-at" method="get" action="{{ route('look', $page->who->sourced_id) }}">
    <label for="look-date" class="visually-hidden">{{ __('publishing.later.day') }}</label>
    <input class="form-control" id="look-date" name="date" size="11" autocomplete="off" value="{{ $page->day($page->at) }}">
    <label for="look-time" class="visually-hidden">{{ __('publishing.later.time') }}</label>
    <input class="form-control" id="look-time" name="time" size="6" autocomplete="off" value="{{ $page->clock($page->at) }}">
    <button class="btn btn-side">{{ __('publishing.look.go') }}</button>
</form>
