{{-- Words beside what they say; an address is a link. of: by word --}}
@props(['of'])
<dl class="pairs">
    @foreach ($of as $word => $value)
        <dt>{{ $word }}</dt>
        @foreach ((array) $value as $line)
            <dd>
                @if (Str::contains($line, ['https://', 'http://']))
                    {{ Str::before($line, 'http') }}<a href="http{{ Str::after($line, 'http') }}"
                        target="_top">http{{ Str::after($line, 'http') }}</a>
                @else
                    {{ $line }}
                @endif
            </dd>
        @endforeach
    @endforeach
</dl>
