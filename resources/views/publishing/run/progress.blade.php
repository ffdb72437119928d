{{-- The part of the page that moves while a run goes on. page: RunPage --}}
@props(['page'])
@include('publishing.run.state')
@if ($page->run->truth !== null && $page->isOver())
    <p class="mb-0"><b
            class="{{ $page->run->truth === 0 ? 'good' : 'bad' }}">{{ trans_choice('publishing.truth.sum', $page->run->truth) }}</b>
    </p>
@endif
<div class="lanes">
    @foreach ($page->lanes as $lane)
        <div class="lane">
            <h2>{{ $lane->title }}</h2>
            <progress max="{{ max(1, $lane->all()) }}" value="{{ $lane->all() === 0 ? 1 : $lane->done }}"
                aria-label="{{ $lane->title }}"></progress>
            <span
                class="quiet">{{ $lane->all() === 0 ? __('plan.nothing') : __('run.of_done', ['n' => $lane->done, 'all' => $lane->all(
                    )]) }}</span>
            @if ($lane->failed > 0)
                <span class="bad">{{ __('run.n_failed', ['n' => $lane->failed]) }}</span>
            @endif
        </div>
    @endforeach
</div>
@if ($page->troubles !== [])
    @include('publishing.run.troubles')
@endif
@if ($page->isOver() && $page->failed > 0)
    <p class="mb-3"><x-act :to="route('run.again', $page->run)" class="btn-main" :do="__('run.again')" /></p>
@endif
@include('publishing.run.sections')
