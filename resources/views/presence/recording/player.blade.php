{{-- The browser's own media element; the script gives it the part that was chosen. page: PlayerPage --}}
<div class="player">
    <audio controls preload="metadata" x-ref="media" src="{{ $page->parts[0]->sound }}">
        <track kind="captions" srclang="en" src="{{ $page->parts[0]->words }}" x-ref="track">
    </audio>
    <p class="d-flex gap-3 align-items-center mt-1 mb-2">
        <label>{{ __('recordings.speed') }} <select class="form-select d-inline-block w-auto" x-ref="speed" x-on:change="faster">
                @foreach (['0.75', '1', '1.25', '1.5', '2'] as $speed)
                    <option value="{{ $speed }}" @selected($speed === '1')>{{ $speed }} ×</option>
                @endforeach
            </select></label>
        <label><input class="form-check-input" type="checkbox" x-ref="captions" x-on:change="caption">
            {{ __('recordings.captions') }}</label>
    </p>
    <p class="caption" x-ref="words" hidden></p>
</div>
