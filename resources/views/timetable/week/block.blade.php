{{-- One session. block: WeekBlock; x, y: its upper left corner within its row. There are two thousand of them: what they share is in
    the styles and in the row, and what is said of how it moves is in one attribute (resources/js/week.js). --}}
<a href="{{ $link }}{{ $block->session }}" @if (($classes = $block->classes($chosen)) !== '') class="{{ $classes }}" @endif
    @if ($block->isMovable) data-block="{{ $block->moves() }}" @endif>
    <title>{{ $block->says() }}</title>
    <rect x="{{ $x }}" @if ($y > 0) y="{{ $y }}" @endif width="{{ $block->width }}" />
    <rect x="{{ $x }}" @if ($y > 0) y="{{ $y }}" @endif />
    @if ($drawing->isDay)
        <text x="{{ $x + 8 }}" y="{{ $y + 16 }}">{{ Str::limit($block->name, $block->letters(), '…') }}</text>
        <text class="tick" x="{{ $x + 8 }}"
            y="{{ $y + 31 }}">{{ Str::limit(trim("$block->times $block->note"), $block->smallLetters(), '…') }}</text>
    @else
        <text x="{{ round($x + $block->width / 2 + 1, 1) }}" y="{{ $y + $block::HEIGHT / 2 }}"
            @if ($block->isSqueezed()) textLength="{{ $block::HEIGHT - 3 }}" lengthAdjust="spacingAndGlyphs" @endif>{{ $block->label(
                ) }}</text>
    @endif
    @if ($block->wrong !== null)
        <path class="cross" d="M{{ $x + $block->width / 2 - 3.5 }} {{ $y - 4 }}l7 7m0-7l-7 7" />
    @elseif ($block->kind !== '')
        <path class="dia" d="M{{ $x + $block->width / 2 }} {{ $y - 5 }}l5 5l-5 5l-5-5z" />
    @endif
</a>
