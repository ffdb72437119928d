<?php

declare(strict_types=1);

namespace Nomada\Core\Recording;

/**
 * A RIFF WAVE file of plain samples: what is needed to hand out a part of it as a file of its own, without reading the
 * rest. Any other kind of file is handed out as a whole or not at all.
 */
final readonly class WavFile
{
    private function __construct(
        private string $format,
        private int $bytesASecond,
        private int $block,
        public int $dataAt,
        public int $dataSize,
    ) {
    }

    /** @param  string  $head  the file's first kilobyte; null where it is no such file */
    public static function read(string $head, int $size): ?self
    {
        if (strlen($head) < 44 || ! str_starts_with($head, 'RIFF') || substr($head, 8, 4) !== 'WAVE') {
            return null;
        }
        $at = 12;
        $format = null;
        while ($at + 8 <= strlen($head)) {
            $length = self::number($head, $at + 4);
            $name = substr($head, $at, 4);
            if ($name === 'fmt ') {
                $format = substr($head, $at + 8, 16);
            }
            if ($name === 'data' && $format !== null && strlen($format) === 16) {
                $rate = self::number($format, 8);
                $block = ord($format[12]) + 256 * ord($format[13]);

                // 1: plain samples. Anything else cannot be cut by counting.
                return ord($format[0]) === 1 && $rate > 0 && $block > 0
                    ? new self($format, $rate, $block, $at + 8, min($length, $size - $at - 8))
                    : null;
            }
            $at += 8 + $length + ($length % 2);
        }

        return null;
    }

    public function milliseconds(): int
    {
        return intdiv($this->dataSize * 1000, $this->bytesASecond);
    }

    /**
     * A part of it.
     *
     * @param  int  $from  milliseconds; $to likewise
     * @return array{string, int, int} a head of its own, and where its samples are: from which byte, how many
     */
    public function part(int $from, int $to): array
    {
        $at = fn (int $ms): int => min(
            $this->dataSize,
            intdiv(intdiv($ms * $this->bytesASecond, 1000), $this->block) * $this->block,
        );
        $size = max(0, $at($to) - $at($from));
        $head =
            'RIFF'.pack('V', 36 + $size).'WAVEfmt '.pack('V', 16).$this->format.'data'.pack('V', $size);

        return [$head, $this->dataAt + $at($from), $size];
    }

    private static function number(string $bytes, int $at): int
    {
        $found = unpack('V', substr($bytes, $at, 4));

        return is_array($found) ? (int) $found[1] : 0;
    }
}
