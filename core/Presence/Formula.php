<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Fault;

/**
 * How a section's participation score is made: a weighted mean of its parts, each as far as it is full, out of a
 * maximum.
 */
final readonly class Formula
{
    /**
     * @param  list<ScorePart>  $parts  one a measure
     *
     * @throws Fault
     */
    public function __construct(public int $maximum, public array $parts)
    {
        if ($maximum < 1 || $maximum > 1000) {
            throw new Fault('score.maximum', 'maximum');
        }
        if ($parts === []) {
            throw new Fault('score.weightless', 'maximum');
        }
    }

    public static function usual(): self
    {
        return new self(10, [new ScorePart(Measure::Present, 3, 100), new ScorePart(Measure::Punctual, 1, 100)]);
    }

    /**
     * Points of each part, one decimal, and their sum. What was not measured counts as none.
     *
     * @param  array<string, float>  $measured  by measure
     * @return array<string, float> by measure, and 'sum'
     */
    public function score(array $measured): array
    {
        $weights = array_sum(array_map(fn (ScorePart $p): int => $p->weight, $this->parts));
        $out = [];
        $sum = 0.0;
        foreach ($this->parts as $part) {
            $share = min(1.0, max(0.0, ($measured[$part->measure->value] ?? 0.0) / $part->cap));
            $points = ($this->maximum * $share * $part->weight) / $weights;
            $out[$part->measure->value] = round($points, 1);
            $sum += $points;
        }

        return $out + ['sum' => round($sum, 1)];
    }

    /** @return array{maximum: int, parts: array<string, array{int, int}>} weight and cap by measure */
    public function toArray(): array
    {
        $parts = [];
        foreach ($this->parts as $part) {
            $parts[$part->measure->value] = [$part->weight, $part->cap];
        }

        return ['maximum' => $this->maximum, 'parts' => $parts];
    }

    /**
     * @param  array<mixed>  $kept
     *
     * @throws Fault
     */
    public static function from(array $kept): self
    {
        $parts = [];
        foreach (Measure::cases() as $measure) {
            $part = $kept['parts'][$measure->value] ?? null;
            if (is_array($part) && (int) ($part[0] ?? 0) !== 0) {
                $parts[] = new ScorePart($measure, (int) $part[0], (int) ($part[1] ?? 0));
            }
        }

        return new self((int) ($kept['maximum'] ?? 10), $parts);
    }
}
