{{-- The session that the viewer teaches and may enter at this moment. row: TodayRow --}}
<div class="next-lesson">
    <div><b>{{ $row->of->name }}</b> {{ $row->time }}–{{ $row->end }}<br>
        <small>{{ $row->now->words() }} · {{ $row->now->count() }}</small>
    </div>
    <a class="btn btn-main" href="{{ $page->join->to($row->series) }}">{{ __('presence.today.join') }}</a>
    <a class="btn btn-plain" href="{{ $page->live->to($row->session) }}">{{ __('joining.live') }}</a>
</div>
