{{-- What a plan makes. page: PreviewPage --}}
@props(['page'])
<p class="big mb-1">{{ trans_choice('count.sessions', $page->held) }}
    <span class="quiet">· {{ Words::minutes($page->minutes) }}</span>
</p>
<p class="mb-1">{{ $page->sentence }}.</p>
<p>
    @if ($page->first !== null)
        {{ __('series.made.from_to', ['first' => Say::day($page->first), 'last' => Say::day($page->last)]) }}
    @endif
    {{ Say::this($page->plan->times()) }} {{ __('series.times.of', ['place' => Say::place($page->plan->zone)]) }}
    {{ trans_choice('series.made.past', $page->past) }}
</p>
<x-term-line :line="$page->line" :days="$page->days" :today="$page->today" :minute="$page->minute" :name="__('series.made.title')" />
@foreach ($page->warnings as $warning)
    <p class="warn">{{ $warning }}</p>
@endforeach
@if ($page->cost !== null)
    <p class="{{ $page->tone() }}">{{ Say::this($page->cost->cost()) }}.</p>
@endif
@if ($page->lost === [])
    <p class="quiet">{{ __('series.made.nothing_lost') }}</p>
@else
    <ul class="lost">
        @foreach ($page->lost as $reason => $dates)
            <li><b>{{ __('series.made.lost', ['n' => count($dates), 'why' => $reason]) }}</b> <x-some :of="$dates" :most="8"
                    by=", " /></li>
        @endforeach
    </ul>
@endif
@if ($page->effect !== null)
    <x-effect :effect="$page->effect" :fallen="$page->fallen" />
@endif
