{{-- The first of a list, and how many more there are. of: words; most: how many are named; by: what stands between; after: what
     ends it --}}
@props(['of', 'most', 'by' => '; ', 'after' => ''])
{{ implode($by, array_slice($of, 0, $most)) }}{{ count($of) > $most ? ' ' . trans_choice('count.more', count($of) - $most)
    : '' }}{{ $after }}
