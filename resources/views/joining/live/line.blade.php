{{-- The session as a line. line: SessionLine --}}
<svg class="session-line a-line" viewBox="0 0 1240 50" role="img" aria-label="{{ __('live.line.title') }}">
    <line class="ahead" x1="10" y1="16" x2="1230" y2="16" />
    <line class="gone" x1="10" y1="16" x2="{{ $line->nowAt }}" y2="16" />
    @foreach ($line->stops as [$what, $x, $time])
        <circle @class([$what, 'passed' => $x <= $line->nowAt]) cx="{{ $x }}" cy="16" r="6" />
        <text @class([$what, 'last' => $what === 'ends']) x="{{ $x }}" y="40">{{ $time }} {{ __("live.line.$what") }}</text>
    @endforeach
    <line class="now" x1="{{ $line->nowAt }}" y1="3" x2="{{ $line->nowAt }}" y2="27" />
    <text @class(['now', 'before' => $line->nowAt > 1000]) x="{{ $line->nowAt }}" y="9" dx="{{ $line->nowAt > 1000 ? -8 : 8 }}">
        {{ __('live.line.now', ['time' => $line->nowTime]) }}{{ $line->left > 0 ? __('live.line.left', ['minutes' => $line->left]) : '' }}
    </text>
</svg>
