{{-- What the teacher says, and notes. page: DeskPage --}}
<section class="a-note">
    <form class="d-flex gap-2 mb-3" method="post" action="{{ $page->live->page }}" x-on:submit="say">@csrf
        <input type="hidden" name="act" value="say">
        <input type="hidden" name="rehearsal" value="{{ $page->live->isRehearsal ? 1 : 0 }}">
        <label class="visually-hidden" for="say">{{ __('live.talk.say') }}</label>
        <input class="form-control" id="say" name="text" maxlength="500" placeholder="{{ __('live.talk.say') }}" required
            autocomplete="off">
        <button class="btn btn-side">{{ __('live.talk.send') }}</button>
    </form>
    @if ($page->live->session !== null && !$page->live->isRehearsal)
        <form method="post" action="{{ $page->live->page }}">@csrf
            <input type="hidden" name="act" value="note">
            <label class="form-label" for="note">{{ __('live.note.title') }} <small
                    class="quiet">{{ __('live.note.hint') }}</small></label>
            <textarea class="form-control mb-1" id="note" name="text" rows="3" maxlength="4000">{{ $page->note }}</textarea>
            <button class="btn btn-side">{{ __('live.note.keep') }}</button>
        </form>
    @endif
</section>
