{{-- What saving a series would do. effect: effect of a ScheduleReconciliation; fallen: changes of single sessions that fall away --}}
@props(['effect', 'fallen' => []])
<p class="{{ $effect['move'] + $effect['come'] + $effect['go'] + $effect['lost'] > 0 ? 'warn' : 'said' }}">
    @if ($effect['move'] + $effect['come'] + $effect['go'] + $effect['lost'] === 0)
        {{ __('series.effect.nothing') }}
    @else
        {{ __('series.effect.saving') }} <x-effect-parts :of="$effect" />.
    @endif
    {{ trans_choice('series.effect.begun', $effect['begun']) }}
    @if ($fallen !== [])
        <br>{{ __('series.effect.fallen') }} <x-some :of="$fallen" :most="6" after="." />
    @endif
</p>
