{{-- The session that comes next, and the way in. one: ComingSession --}}
<section class="next-up" aria-label="{{ __('me.next') }}">
    <div>{{ $one->isToday ? __('me.today', ['day' => $one->day]) : $one->day }}</div>
    <div class="big">{{ $one->time }}–{{ $one->end }} {{ $one->name }}</div>
    <div class="quiet"><x-joined by=" · " :of="[$one->topic, $one->teacher, $one->school]" /></div>
    @if ($one->isCancelled())
        <p class="bad mb-0">{{ __('me.cancelled', ['reason' => $one->reason]) }}</p>
    @elseif (!isset($page->links[$one->series]))
        <p class="todo mb-0">{{ __('me.not_registered') }}
            {{ __($page->registers($one->series) ? 'me.register_below' : 'me.school_does') }}</p>
    @elseif ($one->isShut)
        <p class="quiet mb-0">{{ __('me.link_hidden') }}</p>
    @elseif ($one->isHidden)
        <p class="quiet mb-0">{{ __('me.link_at', ['time' => $one->doors]) }}</p>
    @else
        <a class="act main"
            href="{{ $page->links[$one->series] }}">{{ __($one->isOpen ? 'me.come_in' : 'me.door_at', ['time' => $one->doors]) }}</a>
    @endif
</section>
