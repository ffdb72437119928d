{{-- Who waits outside. page: DeskPage --}}
<div class="warn">
    <div class="d-flex gap-2 align-items-baseline flex-wrap">
        <b>{{ trans_choice('live.who.outside', count($page->room['outside'])) }}</b>
        @if ($page->late > 0)
            <span>{{ __('live.who.late_by', ['minutes' => $page->late]) }}</span>
        @endif
        <x-live.act :live="$page->live" act="let-in-all" class="btn-main ms-auto"
            :do="__($page->late > 0 ? 'live.who.let_all_late' : 'live.who.let_all')" />
    </div>
    <ul class="live">
        @foreach ($page->room['outside'] as $one)
            <li><b>{{ $one['name'] }}</b>
                <span>
                    <x-live.act :live="$page->live" act="let-in" :with="['person' => $one['person']]" :about="$one['name']"
                        :do="__($page->late > 0 ? 'live.who.let_in_late' : 'live.who.let_in')" />
                    <x-live.act :live="$page->live" act="send-out" :with="['person' => $one['person']]" :about="$one['name']"
                        :do="__('live.who.send_away')" />
                </span>
            </li>
        @endforeach
    </ul>
</div>
