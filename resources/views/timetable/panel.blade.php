{{-- One session with all that can be done to it. panel: SessionPanel; close: where closing leads; narrow: beside the week;
     back: hidden fields that lead back to where it was opened; note: what a teacher may do to it, null for a coordinator --}}
@props(['panel', 'close', 'narrow' => false, 'back' => [], 'note' => null])
<section id="session" class="one {{ $narrow ? 'is-narrow' : '' }}" aria-label="{{ __('session.one') }}">
    <div class="one-head">
        @include('timetable.panel.head')
        <a class="ms-auto" href="{{ $close }}">{{ __('session.close') }}</a>
    </div>
    @if ($panel->madeUp !== null)
        <p class="said">{{ __('session.made_up', ['day' => Say::day($panel->madeUp)]) }}</p>
    @endif
    @if ($panel->isHeld() && !$panel->isComing)
        <p class="quiet mb-0">{{ __('session.begun') }}</p>
    @endif
    @if (($note ?? null) !== null && $panel->isComing)
        <p class="quiet">{{ $note }}</p>
    @endif
    <div class="one-parts">
        @include('timetable.panel.' . $panel->part()->value)
    </div>
</section>
