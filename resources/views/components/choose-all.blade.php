{{-- The head of a list's first column: chooses all its rows --}}
<input class="form-check-input" type="checkbox" x-ref="all" x-on:change="chooseAll" aria-label="{{ __('frame.choose_all') }}">
