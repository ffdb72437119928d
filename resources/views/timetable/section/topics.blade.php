{{-- What the sessions are about, one after the other --}}
<details>
    <summary>{{ trans_choice('section.topics.title', count($card->topics)) }}</summary>
    <form class="mt-1" method="post" action="{{ route('series.topics', [$page->section, $card->id]) }}">@csrf
        @method('put')
        <label class="form-label" for="topics-{{ $card->id }}">{{ __('section.topics.label') }}</label>
        <textarea class="form-control mb-2" rows="6" id="topics-{{ $card->id }}" name="topics">{{ implode("\n", $card->topics) }}</textarea>
        <label class="d-block"><input class="form-check-input" type="radio" name="topics_move" value="1" @checked($card->topicsMove)>
            {{ __('section.topics.move') }}</label>
        <label class="d-block mb-2"><input class="form-check-input" type="radio" name="topics_move" value="0"
                @checked(!$card->topicsMove)> {{ __('section.topics.stay') }}</label>
        <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="from_first" value="1"
                @checked($card->topicsFromFirst)> {{ __('section.topics.from_first') }}</label>
        <button class="btn btn-side">{{ __('section.topics.do') }}</button>
    </form>
</details>
