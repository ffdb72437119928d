{{-- The links of a series in every form. links: Links --}}
<x-card :title="__('joining.links.title')">
    <div class="links-and-qr">
        <dl class="pairs wide-names">
            <dt>{{ __('section.joining.link') }}</dt>
            <dd><a href="{{ $links->address }}">{{ Str::limit($links->address, 46) }}</a> <x-copy :text="$links->address" /></dd>
            <dt>{{ __('section.joining.code') }}</dt>
            <dd class="mono">{{ $links->joinCode }} <x-copy :text="$links->joinCode" /></dd>
            <dt>{{ __('section.joining.phone') }}</dt>
            <dd>{{ __('section.joining.dial', ['number' => $links->dialIn, 'pin' => $links->pin]) }}</dd>
            @if ($links->host !== null && $page->mayChange)
                <dt>{{ __('section.joining.host') }}</dt>
                <dd><a href="{{ $links->host }}">{{ __('section.joining.own') }}</a> <x-copy :text="$links->host" /></dd>
            @endif
            <dt>{{ __('joining.links.short') }}</dt>
            <dd>@include('joining.series.short')</dd>
        </dl>
        <div x-data="qr" data-text="{{ $links->address }}" class="qr" role="img" aria-label="{{ __('joining.links.qr') }}">
        </div>
    </div>
    <x-more class="mt-2" :title="__('joining.links.invitation')">
        @foreach ($links->invitations as $one)
            <details class="mt-1 ms-3" @if ($loop->first) open @endif>
                <summary>{{ __('joining.links.on_clock', ['place' => $one->place]) }}
                    <span class="quiet">{{ trans_choice('count.students', $one->students) }}</span>
                </summary>
                <pre class="invitation" lang="{{ $one->language }}">{{ $one->text }}</pre>
                <x-copy :text="$one->text" />
            </details>
        @endforeach
    </x-more>
    @if ($page->mayChange)
        <div class="inline mt-3">
            <x-act :to="route('series.hide', [$page->section, $page->series])" :with="['hidden' => $links->isHidden ? 0 : 1]"
                :do="__($links->isHidden ? 'joining.links.show' : 'joining.links.hide')" />
            <details>
                <summary class="btn btn-wrong">{{ __('joining.links.replace') }}</summary>
                <div class="warn">
                    <p>{{ trans_choice('joining.links.die', $links->count()) }}
                        {{ __($page->places === [] ? 'joining.links.nowhere' : 'joining.links.stale') }}</p>
                    @if ($page->places !== [])
                        <ul>
                            @foreach ($page->places as $place)
                                <li>{{ trans_choice('joining.standing.count', $place->count, ['place' => $place->title]) }}</li>
                            @endforeach
                        </ul>
                    @endif
                    <x-act :to="route('series.replace', [$page->section, $page->series])" class="btn-wrong"
                        :do="__('joining.links.replace_now')" />
                </div>
            </details>
        </div>
    @endif
</x-card>
