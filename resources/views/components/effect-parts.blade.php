{{-- What a change does to the coming sessions, in few words. of: effect of a ScheduleReconciliation; none: what is said of no change --}}
@props(['of', 'none' => ''])
<x-joined :of="array_sum([$of['move'], $of['come'], $of['go'], $of['lost']]) === 0
    ? [$none]
    : array_map(fn($what) => trans_choice('series.effect.' . $what, $of[$what]), ['move', 'come', 'go', 'lost', 'stay'])" />
