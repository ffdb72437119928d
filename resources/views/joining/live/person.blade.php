{{-- One person inside. one: as the bridge says it; page: DeskPage --}}
<li>
    <span>
        @if ($one['hand'] !== null)
            <b class="todo" aria-label="{{ __('live.who.hand', ['n' => $one['hand']]) }}">{{ $one['hand'] }}</b>
        @endif
        <b>{{ $one['name'] }}</b>
        <small @class(['ok' => $one['mic'], 'quiet' => !$one['mic']])>
            {{ $one['host'] ? __('live.who.teacher') . ' · ' : '' }}{{ $one['floor'] ? __('live.who.floor') . ' · ' : '' }}
            {{ __($one['mic'] ? 'live.who.speaks' : 'live.who.mic_off') }}{{ $one['camera'] ? ' · ' . __('live.who.camera') : '' }}</small>
        @if ($one['late'])
            <small class="todo">{{ __('live.who.late') }}</small>
        @endif
    </span>
    @unless ($one['host'])
        <details class="more">
            <summary class="btn btn-plain py-0">{{ __('live.who.more') }}<span class="visually-hidden"> {{ $one['name'] }}</span></summary>
            <div class="drop">
                <x-live.act :live="$page->live" :act="$one['floor'] ? 'take-floor' : 'give-floor'" :with="['person' => $one['person']]"
                    :about="$one['name']" :do="__($one['floor'] ? 'live.who.take' : 'live.who.give')" />
                @if ($one['mic'])
                    <x-live.act :live="$page->live" act="mute" :with="['person' => $one['person']]" :about="$one['name']"
                        :do="__('live.who.mute')" />
                @endif
                @if ($one['hand'] !== null)
                    <x-live.act :live="$page->live" act="lower-hand" :with="['person' => $one['person']]" :about="$one['name']"
                        :do="__('live.who.lower')" />
                @endif
                <p class="quiet small mt-2 mb-1">{{ __('live.who.send_out_sure') }}</p>
                <x-live.act :live="$page->live" act="send-out" :with="['person' => $one['person']]" :about="$one['name']" class="btn-wrong"
                    :do="__('live.who.send_out')" />
            </div>
        </details>
    @endunless
</li>
