{{-- What was said; follows what is played, and leads there. page: PlayerPage --}}
<h2>{{ __('recordings.transcript.title') }}</h2>
@if (!$page->recording->has_transcript)
    <p class="quiet">{{ __('recordings.transcript.none') }}</p>
@endif
<div class="transcript" x-ref="transcript" tabindex="0" role="region" aria-label="{{ __('recordings.transcript.title') }}">
    @foreach ($page->parts as $part)
        <h3 class="quiet">{{ __('recordings.part', ['n' => $part->n]) }}</h3>
        @foreach ($part->cues as $cue)
            <p class="cue" data-n="{{ $part->n }}" data-from="{{ $cue->from }}" data-to="{{ $cue->to }}"><button type="button"
                    class="btn btn-plain py-0 num" x-on:click="jump"
                    aria-label="{{ __('recordings.transcript.jump', ['at' => Nomada\App\View\Recording\PlayedPart::clock($part->from
                        + $cue->from)]) }}">{{ Nomada\App\View\Recording\PlayedPart::clock($part->from + $cue->from) }}</button>
                <span>{{ $cue->said }}</span>
            </p>
        @endforeach
    @endforeach
</div>
