{{-- What is done to all at once. page: DeskPage --}}
<div class="live-acts a-acts">
    <b>{{ __('live.states.' . $page->room['state']) }}</b>
    <span>{{ trans_choice('live.sum.inside', $page->students()) }}</span>
    @if ($page->room['outside'] !== [])
        <span class="todo">{{ trans_choice('live.sum.outside', count($page->room['outside'])) }}</span>
    @endif
    @if ($page->missing !== [])
        <span class="quiet">{{ trans_choice('live.sum.missing', count($page->missing)) }}</span>
    @endif
    @if ($page->mayReopen)
        <div class="end">
            <x-live.act :live="$page->live" act="reopen" class="btn-main" :do="__('live.reopen')" />
        </div>
    @endif
    @if ($page->room['inside'] !== [])
        <div class="end">
            @include('joining.live.question-form')
            <x-live.act :live="$page->live" act="mute" class="btn-side" :do="__('live.mics.all_off')" />
            @if ($page->room['may_unmute'])
                <x-live.act :live="$page->live" act="may-unmute" class="btn-side" :with="['on' => 0]" :do="__('live.mics.keep_off')" />
            @else
                <x-live.act :live="$page->live" act="may-unmute" class="btn-side" :with="['on' => 1]" :do="__('live.mics.may')" />
            @endif
            @include('joining.live.recording')
            <details class="more">
                <summary class="btn btn-wrong py-0">{{ __('live.end.title') }}</summary>
                <div class="drop">
                    <p>{{ __('live.end.sure') }}</p>
                    <x-live.act :live="$page->live" act="end" class="btn-wrong" :do="__('live.end.go')" />
                </div>
            </details>
        </div>
    @endif
</div>
