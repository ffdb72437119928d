{{-- Recording on and off, with the reminder to ask. page: DeskPage --}}
@if ($page->room['recording_since'] !== null)
    <x-live.act :live="$page->live" act="record" class="btn-side" :with="['on' => 0]" :do="__('live.record.stop')" />
@else
    <details class="more">
        <summary class="btn btn-side py-0">{{ __('live.record.begin') }}</summary>
        <div class="drop">
            <p>{{ __('live.record.ask') }}</p>
            <p @class([
                'todo' => $page->disagree !== [],
                'quiet' => $page->disagree === [],
            ])>
                {{ $page->disagree === []
                    ? __('live.record.agree')
                    : trans_choice('live.record.disagree', count($page->disagree), ['names' => implode(', ', $page->disagree)]) }}
            </p>
            <x-live.act :live="$page->live" act="record" class="btn-main" :with="['on' => 1]" :do="__('live.record.go')" />
        </div>
    </details>
@endif
