@foreach ($pieces as [$piece, $isShared])
    @if ($isShared)
    <mark>{{ $piece }}</mark>@else<span>{{ $piece }}</span>
    @endif
@endforeach
