@props(['line', 'days', 'today', 'minute' => 720, 'large' => false, 'name' => '', 'url' => null])
{{ $line->draw($days, $name, $today, $minute, $url, $large) }}
