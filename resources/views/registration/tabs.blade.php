{{-- The lists of registration. at: which one is shown; waiting, queued: how many are in two of them --}}
@props(['at', 'waiting' => null, 'queued' => null])
<nav class="end" aria-label="{{ __('registration.title') }}">
    <x-pill :to="route('desk')" :on="$at === 'queue'" :n="$waiting">{{ __('registration.tabs.queue') }}</x-pill>
    <x-pill :to="route('desk', ['show' => 'list'])" :on="$at === 'list'" :n="$queued">{{ __('registration.tabs.list') }}</x-pill>
    <x-pill :to="route('desk', ['show' => 'decided'])" :on="$at === 'decided'">{{ __('registration.tabs.decided') }}</x-pill>
    <x-pill :to="route('desk', ['show' => 'changes'])" :on="$at === 'changes'">{{ __('registration.tabs.changes') }}</x-pill>
    <x-pill :to="route('registration')" :on="$at === 'rosters'">{{ __('registration.tabs.rosters') }}</x-pill>
    @can('coordinate')
        <x-pill :to="route('letters')" :on="$at === 'letters'">{{ __('registration.tabs.letters') }}</x-pill>
    @endcan
</nav>
