{{-- The sessions of a section along the term. line: TermLine; days: day numbers by state; url: where a stop leads --}}
@props(['line', 'days', 'today', 'minute' => 720, 'large' => false, 'name' => '', 'url' => null])
{{ $line->draw($days, $name, $today, $minute, $url, $large) }}
