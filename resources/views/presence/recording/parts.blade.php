{{-- The parts that whoever looks may see. page: PlayerPage --}}
<x-card :title="__('recordings.parts')">
    <ol class="parts">
        @foreach ($page->parts as $part)
            <li><button type="button" class="btn btn-plain" data-n="{{ $part->n }}" data-from="{{ $part->from }}"
                    data-sound="{{ $part->sound }}" data-words="{{ $part->words }}" x-on:click="choose"
                    aria-label="{{ __('recordings.play', ['n' => $part->n]) }}">{{ __('recordings.part', ['n' => $part->n]) }}</button>
                <span class="num">{{ __('recordings.from', ['at' => Nomada\App\View\Recording\PlayedPart::clock($part->from)]) }}</span>
                <span class="quiet">{{ __('recordings.minutes', ['minutes' => $part->minutes()]) }}</span>
                @if ($page->serves && $part->isReleased)
                    <span class="ok">{{ __('recordings.is_released') }}</span>
                @endif
            </li>
        @endforeach
    </ol>
</x-card>
