{{-- A state by its shape: published, planned, changed, makeup, past, wrong; in the plan add, change, remove, drift, leave. --}}
@props(['is', 'label' => null])
<svg class="shape" width="14" height="14" viewBox="0 0 14 14" @if ($label) role="img" aria-label="{{ $label }}" @else aria-hidden="true" @endif>@switch($is)
@case('published')<circle class="fill" cx="7" cy="7" r="5"/>@break
@case('planned')<circle class="hollow" cx="7" cy="7" r="4.4"/>@break
@case('changed')
@case('change')<circle class="ch" cx="7" cy="7" r="4.4"/><path class="chf" d="M7 2.6a4.4 4.4 0 0 0 0 8.8z"/>@break
@case('makeup')<path class="fill" d="M7 1.5L12.5 7 7 12.5 1.5 7z"/>@break
@case('wrong')<path class="x" d="M3 3l8 8m0-8l-8 8"/>@break
@case('add')<circle class="plus" cx="7" cy="7" r="4.9"/><path class="plus" d="M7 4.6v4.8M4.6 7h4.8"/>@break
@case('remove')<circle class="minus" cx="7" cy="7" r="4.9"/><path class="minus" d="M4.6 7h4.8"/>@break
@case('drift')<path class="tri" d="M7 2l5.4 9.8H1.6z"/>@break
@default<circle class="grey" cx="7" cy="7" r="3"/>
@endswitch</svg>
