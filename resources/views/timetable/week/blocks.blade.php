{{-- The sessions of a row. blocks: list<WeekBlock>. There are two thousand of them in a week, so they are one template, not one each: what
    they share is in the styles and in the row, and what is said of how each moves is in one attribute (resources/js/week.js). --}}
@foreach ($blocks as $block)
    <a href="{{ $link }}{{ $block->session }}" @if (($classes = $block->classes($chosen)) !== '') class="{{ $classes }}" @endif
        @if ($block->isMovable) data-block="{{ $block->moves() }}" @endif>
        <title>{{ $block->says() }}</title>
        <rect x="{{ $block->x }}" @if ($block->y() > 0) y="{{ $block->y() }}" @endif width="{{ $block->width }}" />
        <rect x="{{ $block->x }}" @if ($block->y() > 0) y="{{ $block->y() }}" @endif />
        @if ($drawing->isDay)
            <text x="{{ $block->x + 8 }}" y="{{ $block->y() + 16 }}">{{ Str::limit($block->name, $block->letters(), '…') }}</text>
            <text class="tick" x="{{ $block->x + 8 }}"
                y="{{ $block->y() + 31 }}">{{ Str::limit(trim("$block->times $block->note"), $block->smallLetters(), '…') }}</text>
        @else
            <text x="{{ round($block->x + $block->width / 2 + 1, 1) }}" y="{{ $block->y() + $block::HEIGHT / 2 }}"
                @if ($block->isSqueezed()) textLength="{{ $block::HEIGHT - 3 }}" lengthAdjust="spacingAndGlyphs" @endif>{{ $block->label(
                    ) }}</text>
        @endif
        @if ($block->wrong !== null)
            <path class="cross" d="M{{ $block->x + $block->width / 2 - 3.5 }} {{ $block->y() - 4 }}l7 7m0-7l-7 7" />
        @elseif ($block->kind !== '')
            <path class="dia" d="M{{ $block->x + $block->width / 2 }} {{ $block->y() - 5 }}l5 5l-5 5l-5-5z" />
        @endif
    </a>
@endforeach
