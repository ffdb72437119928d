<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * What a recording of the stand-in sounds and reads like: a small real sound file, a tone for each sentence, and the
 * transcript of them. Both follow from the recording's id alone, so nothing of it is stored.
 */
final class Sound
{
    /** Samples a second; a browser plays no fewer. */
    private const RATE = 3000;

    private const SAID = [
        'Good morning, everybody.',
        'Today we look at the chart once more.',
        'Who can say where the harbour is?',
        'That is the grey part, behind the wall.',
        'The river meets the sea here, and the salt goes up with the tide.',
        'High water is at twenty to one.',
        'Write down what you see, one line is enough.',
        'Take your time.',
        'Now let us compare.',
        'Very good, that is what I have too.',
        'Why is the sand brighter on this side?',
        'Because the current carries the small grains away.',
        'Remember this word; you will need it on Thursday.',
        'Are there any questions so far?',
        'Then we go on with the next page.',
    ];

    /**
     * @param  int  $ms  of the whole recording
     * @return list<array{int, int, string}> from, to, and what was said
     */
    public static function cues(string $id, int $ms): array
    {
        $seed = crc32($id);
        $next = function (int $from, int $to) use (&$seed): int {
            $seed = ($seed * 1103515245 + 12345) & 0x7FFFFFFF;

            return $from + (($seed >> 8) % ($to - $from + 1));
        };
        $at = $next(500, 4000);
        $out = [];
        while ($at + 1500 < $ms) {
            $text = self::SAID[$next(0, count(self::SAID) - 1)];
            $to = min($ms, $at + 1200 + 60 * strlen($text));
            $out[] = [$at, $to, $text];
            $at = $to + ($next(0, 11) === 0 ? $next(4000, 20000) : $next(200, 1200));
        }

        return $out;
    }

    public static function transcript(string $id, int $ms, string $speaker): string
    {
        $out = "WEBVTT\n";
        foreach (self::cues($id, $ms) as [$from, $to, $text]) {
            $out .= "\n".self::time($from).' --> '.self::time($to)."\n<v $speaker>$text\n";
        }

        return $out;
    }

    /** RIFF WAVE, 8 bits, one channel. */
    public static function wav(string $id, int $ms): string
    {
        $n = intdiv($ms * self::RATE, 1000);
        $silence = str_repeat("\x80", $n);
        // One period of a tone, repeated for as long as a sentence lasts.
        $tone = '';
        for ($i = 0; $i < self::RATE / 200; $i++) {
            $tone .= chr(128 + (int) (20 * sin((2 * M_PI * $i * 200) / self::RATE)));
        }
        foreach (self::cues($id, $ms) as [$from, $to]) {
            $at = intdiv($from * self::RATE, 1000);
            $length = min($n - $at, intdiv(($to - $from) * self::RATE, 1000));
            $sound = substr(str_repeat($tone, intdiv($length, strlen($tone)) + 1), 0, $length);
            $silence = substr_replace($silence, $sound, $at, $length);
        }

        return 'RIFF'.
            pack('V', 36 + $n).
            'WAVEfmt '.
            pack('VvvVVvv', 16, 1, 1, self::RATE, self::RATE, 1, 8).
            'data'.
            pack('V', $n).
            $silence;
    }

    private static function time(int $ms): string
    {
        return sprintf(
            '%02d:%02d:%02d.%03d',
            intdiv($ms, 3_600_000),
            intdiv($ms, 60_000) % 60,
            intdiv($ms, 1000) % 60,
            $ms % 1000,
        );
    }
}
