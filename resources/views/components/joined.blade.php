{{-- Several short words in one line; what is empty is left out. of: words; by: what stands between --}}
@props(['of', 'by' => ', '])
{{ implode($by, array_filter($of)) }}
