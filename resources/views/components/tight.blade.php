{{-- What stands in a page a thousand times: laid out for us, sent without its line breaks. --}}
{{ new \Illuminate\Support\HtmlString(
    (string) preg_replace(['/\s*\n\s*| {2,}/', '/> </', '~ (/?>)~'], [' ', '><', '$1'], (string) $slot)) }}
