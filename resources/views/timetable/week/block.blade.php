{{-- One session. block: WeekBlock; x, y: its upper left corner --}}
<a href="{{ $link }}&amp;session={{ $block->session }}" @class([
    ...$block->classes(),
    'is-chosen' => $chosen === $block->session,
])
    @if ($block->isMovable) data-move="{{ $block->path() }}" data-day="{{ $block->day }}" data-minute="{{ $block->minute }}"
    data-minutes="{{ $block->minutes }}" data-name="{{ $block->name }}" draggable="false" @endif>
    <title>{{ $block->says() }}</title>
    <rect class="block" x="{{ $x }}" y="{{ $y }}" width="{{ $block->width }}" height="{{ $block::HEIGHT }}"
        rx="2" />
    <rect class="edge" x="{{ $x }}" y="{{ $y }}" width="3" height="{{ $block::HEIGHT }}" />
    @if ($drawing->isDay)
        <text class="short" x="{{ $x + 8 }}" y="{{ $y + 16 }}">{{ Str::limit($block->name, $block->letters(), '…') }}</text>
        <text class="tick" x="{{ $x + 8 }}"
            y="{{ $y + 31 }}">{{ Str::limit(trim("$block->times $block->note"), $block->smallLetters(), '…') }}</text>
    @else
        <text class="short" text-anchor="middle"
            transform="translate({{ $x + $block->width / 2 + 4 }} {{ $y + $block::HEIGHT / 2 }}) rotate(-90)"
            @if ($block->isSqueezed()) textLength="{{ $block::HEIGHT - 3 }}" lengthAdjust="spacingAndGlyphs" @endif>{{ $block->label(
                ) }}</text>
    @endif
    @if ($block->wrong !== null)
        <path class="cross" d="M{{ $x + $block->width / 2 - 3.5 }} {{ $y - 4 }}l7 7m0-7l-7 7" />
    @elseif ($block->kind !== '')
        <path class="dia" d="M{{ $x + $block->width / 2 }} {{ $y - 5 }}l5 5l-5 5l-5-5z" />
    @endif
</a>
