{{-- Words beside what they say; an address is a link. of: by word --}}
@props(['of'])
<dl class="pairs">
    @foreach ($of as $word => $value)
        <dt>{{ $word }}</dt>
        @foreach ((array) $value as $line)
            <dd>
                @if (Str::startsWith($line, ['https://', 'http://']))
                    <a href="{{ $line }}" target="_top">{{ $line }}</a>
                @else
                    {{ $line }}
                @endif
            </dd>
        @endforeach
    @endforeach
</dl>
