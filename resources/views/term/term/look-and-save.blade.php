{{-- What a change of the calendar would do, and doing it --}}
<button class="btn btn-side" name="look" value="1">{{ __('term.what_changes') }}</button>
<button class="btn btn-main">{{ __('term.save') }}</button>
