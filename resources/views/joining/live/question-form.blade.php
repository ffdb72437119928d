{{-- A quick question is written. page: DeskPage --}}
<details class="more">
    <summary class="btn btn-side py-0">{{ __('live.question.ask') }}</summary>
    <form class="drop" method="post" action="{{ $page->live->page }}">@csrf
        <input type="hidden" name="act" value="ask">
        <input type="hidden" name="rehearsal" value="{{ $page->live->isRehearsal ? 1 : 0 }}">
        <label class="form-label" for="q-text">{{ __('live.question.text') }}</label>
        <input class="form-control mb-2" id="q-text" name="text" maxlength="200" required>
        @foreach ([1, 2, 3, 4, 5] as $n)
            <label class="visually-hidden" for="q-{{ $n }}">{{ __('live.question.answer', ['n' => $n]) }}</label>
            <input class="form-control mb-1" id="q-{{ $n }}" name="answers[]" maxlength="80"
                placeholder="{{ __('live.question.answer', ['n' => $n]) }}"
                value="{{ $n === 1 ? __('live.question.yes') : ($n === 2 ? __('live.question.no') : '') }}">
        @endforeach
        <button class="btn btn-main mt-1">{{ __('live.question.go') }}</button>
    </form>
</details>
