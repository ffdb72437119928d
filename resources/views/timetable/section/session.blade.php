{{-- One session in the list of its series. one: SessionLine --}}
<li id="day-{{ $one->day->iso() }}" @class(['is-lost' => !$one->isHeld(), 'is-chosen' =>
    $one->isChosen]) @if ($one->isChosen) aria-current="date" @endif>
    @if ($one->isHeld())
        <x-shape :is="$one->shape" :label="__('section.shapes.' . $one->shape)" />
    @else
        <svg width="14" height="14" aria-hidden="true">
            <rect x="1" y="1" width="12" height="12" fill="url(#hatch)" />
        </svg>
    @endif
    <span>{{ Say::day($one->day) }}</span><span>{{ $one->start }}–{{ $one->end }}</span><span class="told">
        <span class="text">
            {{ $one->isHeld() ? '' : __('session.states.' . $one->state->value) . ': ' . $one->reason }}
            <x-joined
                :of="[$one->title, $one->teacher === null ? '' : __('section.with', ['name' => $one->teacher]), $one->own, $one->note]" />
        </span>
        @if ($one->mayChange)
            <a href="{{ route('section', [$page->section, 'session' => $one->id]) }}#session"
                aria-label="{{ __($one->isHeld() ? 'section.change_of' : 'section.make_up_of', ['day' => Say::day($one->day)]) }}">{{ __(
                    $one->isHeld() ? 'section.change' : 'section.make_up') }}</a>
        @endif
    </span>
</li>
