@props(['page', 'toPlace' => [], 'drawing' => $page->drawing()])
<x-app :title="__('week.title')">
    <div class="bar">
        <h1>{{ $page->one === null ? __('week.week', ['n' => $page->week]) : Say::day($page->one) }}</h1>
        <div class="sum">
            @if ($page->one === null)
                {{ Say::dayMonth($page->monday) }} – {{ Say::dayMonth($page->last()) }}
            @else
                {{ __('week.of', ['n' => $page->week]) }}
            @endif
            ·
            {{ trans_choice('week.sessions', $page->count()) }}
            @if ($page->clashes() > 0)
                · <span class="bad">{{ trans_choice('week.clash', $page->clashes()) }}</span>
            @endif
            · {{ __('week.zone', ['place' => Say::place($page->term->zone)]) }}
        </div>
        @include('timetable.week.tabs')
    </div>
    @if ($page->one !== null)
        @include('timetable.week.clock')
    @endif
    @includeWhen($toPlace !== [], 'timetable.week.to-place')
    @if ($page->panel === null)
        <x-faults class="fault" :of="['move_day', 'move_start', 'move_end', 'reach', 'session']" />
    @endif
    <div @class(['beside' => $page->panel !== null])>
        @if ($page->grid->rows === [] && $page->filter->isAny())
            <x-empty :title="__('week.none')">{{ __('week.none_hint') }}
                <a href="{{ route('timetable', $page->here()) }}">{{ __('week.whole') }}</a>
            </x-empty>
        @elseif ($page->grid->rows === [])
            <x-empty :title="__($page->one === null ? 'week.no_session' : 'week.no_session_day')">
                {{ $page->closed() === [] ? __('week.nothing') : implode(', ', $page->closed()) }}
            </x-empty>
        @else
            <div class="wide print-wide" tabindex="0" role="region" x-data="week"
                aria-label="{{ __($page->one === null ? 'week.the_week' : 'week.the_day') }}" data-from="{{ $page->grid->hours[0] * 60 }}"
                data-to="{{ $page->grid->hours[1] * 60 }}" data-left="{{ $drawing::LEFT }}" data-today="{{ $page->todayIso() }}"
                data-move="{{ $page->moves() }}">
                <svg class="grid-week mt-2 {{ $drawing->isDay ? 'is-day' : '' }}" width="{{ $drawing->width }}"
                    height="{{ $drawing->height }}" viewBox="0 0 {{ $drawing->width }} {{ $drawing->height }}" role="group"
                    aria-label="{{ __('week.drawing', [
                        'what' => $page->one === null ? __('week.week', ['n' => $page->week]) : Say::day($page->one),
                        'by' => lcfirst(__("week.by.$page->by")),
                    ]) }}">
                    @include('timetable.week.drawing', [
                        'link' => $page->opens(),
                        'chosen' => $page->chosen,
                    ])
                    <g class="ghost" aria-hidden="true"></g>
                </svg>
                <p class="moving-words" aria-live="polite" x-ref="told"></p>
                @include('timetable.week.dialog')
            </div>
        @endif
        @if ($page->panel !== null)
            @include('timetable.week.beside')
        @endif
    </div>
    <x-slot:keys>
        <dt><kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>{{ __('week.keys.five') }}</dd>
        <dt><kbd>{{ __('frame.keys.shift') }}</kbd> <kbd>←</kbd> <kbd>→</kbd></dt>
        <dd>{{ __('week.keys.day') }}</dd>
        <dt><kbd>{{ __('frame.keys.enter') }}</kbd></dt>
        <dd>{{ __('week.keys.open') }}</dd>
        <dt><kbd>Esc</kbd></dt>
        <dd>{{ __('week.keys.back') }}</dd>
    </x-slot:keys>
</x-app>
