<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;
use Nomada\Core\Recording\Cue;

/**
 * A transcript as WebVTT (W3C, Web Video Text Tracks): read strictly, with every fault's line, and written. Notes,
 * styles, regions, identifiers and settings of cues are read over; a voice span names who speaks.
 */
final class WebVtt
{
    private const TIMING =
        '/^\s*((?:\d{2,9}:)?[0-5]\d:[0-5]\d\.\d{3})[ \t]+-->[ '.
        '\t]+((?:\d{2,9}:)?[0-5]\d:[0-5]\d\.\d{3})(?:[ \t]|$)/';

    /** No recording lasts longer, in milliseconds. */
    private const LONGEST = 86_400_000;

    /** @var list<ImportFault> */
    public array $faults = [];

    /** @var list<Cue> by when they begin */
    public array $cues = [];

    public function __construct(public readonly string $file, string $text)
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            $this->fault(0, 'vtt.utf8');

            return;
        }
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        $nul = strpos($text, "\0");
        if ($nul !== false) {
            $this->fault(1 + substr_count($text, "\n", 0, $nul), 'vtt.nul');

            return;
        }
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        if (preg_match('/^WEBVTT([ \t].*)?$/', $lines[0]) !== 1) {
            $this->fault(1, 'vtt.begins', $lines[0]);

            return;
        }
        $this->blocks($lines);
        usort($this->cues, fn (Cue $a, Cue $b): int => [$a->from, $a->to] <=> [$b->from, $b->to]);
        if ($this->cues === [] && $this->faults === []) {
            $this->fault(0, 'vtt.cue');
        }
    }

    /** @param  list<string>  $lines */
    private function blocks(array $lines): void
    {
        $block = [];
        foreach ([...array_slice($lines, 1), ''] as $i => $line) {
            if (trim($line) !== '') {
                $block[$i + 2] = $line;
            } elseif ($block !== []) {
                $this->block($block);
                $block = [];
            }
        }
    }

    /** @param  array<int, string>  $block  by line number */
    private function block(array $block): void
    {
        $numbers = array_keys($block);
        $first = $block[$numbers[0]];
        $at = str_contains($first, '-->') ? 0 : 1;
        if (! isset($numbers[$at]) || ! str_contains($block[$numbers[$at]], '-->')) {
            // A note, a style, a region, or a header: nothing that is said.
            if (preg_match('/^(NOTE|STYLE|REGION)\b/', $first) !== 1 && $numbers[0] > 2) {
                $this->fault($numbers[0], 'vtt.no_cue', $first);
            }

            return;
        }
        $line = $numbers[$at];
        if (preg_match(self::TIMING, $block[$line], $m) !== 1) {
            $this->fault($line, 'vtt.times', $block[$line]);

            return;
        }
        [$from, $to] = [self::milliseconds($m[1]), self::milliseconds($m[2])];
        if ($to <= $from || $to > self::LONGEST) {
            $this->fault($line, $to > self::LONGEST ? 'vtt.long' : 'vtt.ends', $block[$line]);

            return;
        }
        // A line with times ends the cue before it, blank line or not.
        $rest = array_slice($block, $at + 1, null, true);
        foreach (array_keys($rest) as $n => $number) {
            if (str_contains($rest[$number], '-->')) {
                $this->block(array_slice($rest, $n, null, true));
                $rest = array_slice($rest, 0, $n, true);
                break;
            }
        }
        $this->said($from, $to, implode("\n", $rest));
    }

    /** A cue for each voice: what two people say in one cue is two cues of the same time. */
    private function said(int $from, int $to, string $said): void
    {
        $pieces =
            preg_split('/(?=<v(?:\.[^ >]*)?[ \t]+[^>]+>)/', $said, -1, PREG_SPLIT_NO_EMPTY) ?: [''];
        foreach ($pieces as $piece) {
            $speaker = preg_match('/^<v(?:\.[^ >]*)?[ \t]+([^>]+)>/', $piece, $v) === 1 ? self::plain($v[1]) : '';
            $text = self::plain($piece);
            if ($text !== '' || count($pieces) === 1) {
                $this->cues[] = new Cue($from, $to, $text, $speaker);
            }
        }
    }

    private static function plain(string $text): string
    {
        $text = (string) preg_replace('/<[^>]*>/', '', $text);
        $text = html_entity_decode($text, ENT_QUOTES | ENT_HTML5, 'UTF-8');

        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    private static function milliseconds(string $time): int
    {
        $parts = array_reverse(explode(':', substr($time, 0, -4)));

        return 1000 * ((int) $parts[0] + 60 * (int) $parts[1] + 3600 * (int) ($parts[2] ?? 0)) +
            (int) substr($time, -3);
    }

    private function fault(int $line, Fault|string $expected, string $found = ''): void
    {
        $this->faults[] = new ImportFault($this->file, $line, '', $expected, mb_substr($found, 0, 60));
    }

    /**
     * @param  list<Cue>  $cues
     * @param  int  $from  milliseconds; $to likewise: what lies outside is left out, what is left begins at nought
     */
    public static function write(array $cues, int $from = 0, int $to = PHP_INT_MAX): string
    {
        $out = "WEBVTT\n";
        foreach ($cues as $cue) {
            if ($cue->to <= $from || $cue->from >= $to) {
                continue;
            }
            $text = htmlspecialchars($cue->text, ENT_NOQUOTES, 'UTF-8');
            $speaker = str_replace(['<', '>', '&'], '', $cue->speaker);
            $out .=
                "\n".
                self::time(max($cue->from, $from) - $from).
                ' --> '.
                self::time(min($cue->to, $to) - $from).
                "\n".
                ($speaker === '' ? '' : "<v $speaker>").
                "$text\n";
        }

        return $out;
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
