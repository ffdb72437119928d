{{-- Who is on the roster and never came. page: DeskPage --}}
<details class="mt-2" @if (count($page->missing) <= 6) open @endif>
    <summary><b class="bad">{{ trans_choice('live.who.missing', count($page->missing)) }}</b></summary>
    <ul class="live">
        @foreach ($page->missing as $one)
            <li><span>{{ $one->name }} @if ($one->isExcused)
                        <small class="quiet">{{ __('live.who.excused') }}</small>
                    @endif
                </span>
                @if ($one->isTold)
                    <small class="quiet">{{ __('live.who.told') }}</small>
                @elseif (!$page->mayTell)
                    <small class="quiet">{{ __('live.who.not_begun') }}</small>
                @elseif ($one->hasGuardian)
                    <x-live.act :live="$page->live" act="tell-guardian" :with="['person' => $one->sourcedId]" :about="$one->name"
                        :do="__('live.who.tell')" />
                @else
                    <small class="quiet">{{ __('live.who.no_guardian') }}</small>
                @endif
            </li>
        @endforeach
    </ul>
</details>
