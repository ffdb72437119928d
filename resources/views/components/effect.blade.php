@props(['effect', 'fallen' => []])
@php
    use Nomada\App\Support\Words;
    $changes = $effect['move'] + $effect['come'] + $effect['go'] + $effect['lost'];
    $parts = array_filter([
        $effect['move'] > 0 ? Words::count($effect['move'], 'session') . ' move' . ($effect['move'] === 1 ? 's' : '') : '',
        $effect['come'] > 0 ? $effect['come'] . ' new' : '',
        $effect['go'] > 0 ? $effect['go'] . ' fall' . ($effect['go'] === 1 ? 's' : '') . ' away' : '',
        $effect['lost'] > 0 ? $effect['lost'] . ' lost to closed days' : '',
        $effect['stay'] > 0 ? $effect['stay'] . ' stay' . ($effect['stay'] === 1 ? 's' : '') : '',
    ]);
@endphp
<p class="{{ $changes > 0 ? 'warn' : 'said' }}">
    @if ($changes === 0)
        No coming session changes.
    @else
        Saving: {{ implode(', ', $parts) }}.
    @endif
    {{ $effect['begun'] > 0
        ? Words::count($effect['begun'], 'session') .
            ' that ' .
            ($effect['begun'] === 1 ? 'has' : 'have') .
            ' begun stay' .
            ($effect['begun'] === 1 ? 's' : '') .
            ' as ' .
            ($effect['begun'] === 1 ? 'it is' : 'they are') .
            '.'
        : '' }}
    @if ($fallen !== [])
        <br>These changes of single sessions fall away:
        {{ implode('; ', array_slice($fallen, 0, 6)) }}{{ count($fallen) > 6 ? ' and ' . (count($fallen) - 6) . ' more' : '' }}.
    @endif
</p>
