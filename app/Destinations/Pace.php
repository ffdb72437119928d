<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Cache\Lock;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Cache;

/**
 * Keeps requests to one service to the rate that it says it takes (RateLimit-Policy, "20;w=1": twenty in a window of a
 * second), so that workers side by side use all of it and are not turned away. A service that says nothing is asked
 * without waiting.
 */
final readonly class Pace
{
    /** How long what a service said is held to, in seconds. */
    private const KNOWN_FOR = 600;

    public function __construct(private string $service)
    {
    }

    /**
     * Waits for the next free moment, and takes it.
     *
     * @param  float|null  $atMost  requests a second, where the school has said so and the service does not
     */
    public function wait(?float $atMost = null): void
    {
        $gap = Cache::get("pace $this->service") ?? ($atMost === null ? null : 1 / $atMost);
        if (! is_numeric($gap)) {
            return;
        }
        try {
            $lock = Cache::lock("pace lock $this->service", 2);
            $until = ($lock instanceof Lock ? $lock->betweenBlockedAttemptsSleepFor(2) : $lock)->block(
                3,
                function () use ($gap): float {
                    $at = max(microtime(true), (float) Cache::get("pace next $this->service", 0));
                    Cache::put("pace next $this->service", $at + (float) $gap, self::KNOWN_FOR);

                    return $at;
                },
            );
        } catch (LockTimeoutException) {
            // Rather asked too soon, and told to wait, than not at all.
            return;
        }
        if ($until > microtime(true)) {
            usleep((int) (1_000_000 * ($until - microtime(true))));
        }
    }

    public function learn(string $policy): void
    {
        if (
            preg_match('/^(?:"[^"]*";q=)?(\d+)\s*;\s*w=(\d+)/', trim($policy), $m) === 1 &&
            $m[1] > 0 &&
            $m[2] > 0
        ) {
            // A little slower than that: what is late by a moment is counted with the next window.
            Cache::put("pace $this->service", (1.02 * (int) $m[2]) / (int) $m[1], self::KNOWN_FOR);
        } elseif (Cache::get("pace $this->service") !== null) {
            Cache::forget("pace $this->service");
        }
    }
}
