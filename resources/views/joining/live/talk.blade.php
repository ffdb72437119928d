{{-- Chat and what happened, one log with times. page: DeskPage --}}
<section class="a-talk" aria-labelledby="talk-title">
    <h2 id="talk-title">{{ __('live.talk.title') }} <small class="quiet">{{ __('live.talk.order') }}</small></h2>
    <ol class="talk" tabindex="0" aria-labelledby="talk-title" x-ref="talk">
        @forelse ($page->room['talk'] as $line)
            <li @class([$line['kind']])>
                <time>{{ $page->live->zone->clock($line['at']) }}</time>
                <span>{{ $line['name'] }}{{ $line['kind'] === 'event' || $line['name'] === '' ? '' : ':' }}
                    {{ $line['gone'] ? __('live.talk.gone') : $line['text'] }}
                    @if ($line['kind'] === 'private')
                        <i>{{ __('live.talk.private') }}</i>
                    @endif
                    @if (!$line['gone'] && in_array($line['kind'], ['line', 'private'], true))
                        <x-live.act :live="$page->live" act="take-line" :with="['line' => $line['id']]" :do="__('live.talk.take')"
                            :about="$line['text']" />
                    @endif
                </span>
            </li>
        @empty
            <li class="quiet">{{ __('live.talk.empty') }}</li>
        @endforelse
    </ol>
    @if ($page->room['inside'] !== [])
        @if (!$page->room['chat_open'])
            <p class="todo small mb-1">{{ __('live.talk.stopped') }}</p>
        @endif
        <x-live.act :live="$page->live" act="chat" :with="['on' => $page->room['chat_open'] ? 0 : 1]"
            :do="__($page->room['chat_open'] ? 'live.talk.stop' : 'live.talk.open')" />
        <x-live.act :live="$page->live" act="lower-hand" :do="__('live.mics.lower_all')" />
    @endif
</section>
