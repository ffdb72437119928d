{{-- Which session it is, and what is told of it --}}
<h2>
    @if ($narrow)
        <a href="{{ route('section', $panel->section) }}">{{ $panel->section->name() }}</a>
    @else
        {{ Say::day($panel->day) }}, {{ $panel->start }}–{{ $panel->end }}
    @endif
</h2>
<span class="quiet"><x-joined by=" · " :of="[
    $narrow ? Say::day($panel->day) . ', ' . $panel->start . '–' . $panel->end : $panel->series->title,
    $panel->isHeld() ? '' : __('session.states.' . $panel->state->value) . ': ' . Say::because($panel->session->reason),
    $panel->own,
    $panel->session->topic,
]" /></span>
@if ($panel->elsewhere !== [])
    <span class="quiet">{{ __('session.elsewhere', ['times' => implode(', ', $panel->elsewhere)]) }}</span>
@endif
