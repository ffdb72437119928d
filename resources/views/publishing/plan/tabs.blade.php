{{-- Which sections are shown, and what else there is of publishing --}}
<nav class="end" aria-label="{{ __('plan.show') }}">
    @if ($page->show === 'chosen')
        <x-pill :to="route('publishing', ['show' => 'chosen'])" on :n="count($page->rows)">{{ __('plan.chosen') }}</x-pill>
    @endif
    <x-pill :to="route('publishing')" :on="!in_array($page->show, ['chosen', 'all'], true)" :n="$page->differs">{{ __(
        'plan.what_differs') }}</x-pill>
    <x-pill :to="route('publishing', ['show' => 'all'])" :on="$page->show === 'all'" :n="$page->all">{{ __('plan.all') }}</x-pill>
    <x-pill :to="route('runs')">{{ __('run.past') }}</x-pill>
    <x-pill :to="route('drift')">
        @if ($page->drifts > 0)
            <b class="todo">{{ trans_choice('publishing.drift.link', $page->drifts) }}</b>
        @else
            {{ __('publishing.drift.title') }}
        @endif
    </x-pill>
    @can('coordinate')
        <x-pill :to="route('showing')">{{ __('showing.title') }}</x-pill>
        <x-pill :to="route('places')">{{ __('publishing.places.title') }}</x-pill>
    @endcan
</nav>
