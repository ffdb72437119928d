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
final class RateLimiter
{
    /** How long what a service said is held to, in seconds. */
    private const KNOWN_FOR = 600;

    /** How long a process remembers that there is nothing to be held to, in seconds. */
    private const FREE_FOR = 0.25;

    /** @var array<string, float> until when a service is known to have no pace, by service */
    private static array $free = [];

    public function __construct(private readonly string $service)
    {
    }

    /**
     * Waits for the next free moment, and takes it.
     *
     * @param  float|null  $atMost  requests a second, where the school has said so and the service does not
     */
    public function wait(?float $atMost = null): void
    {
        if ($atMost === null && $this->isFree()) {
            return;
        }
        $gap = Cache::get("pace $this->service") ?? ($atMost === null ? null : 1 / $atMost);
        if (! is_numeric($gap)) {
            self::$free[$this->service] = microtime(true) + self::FREE_FOR;

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
            unset(self::$free[$this->service]);
            Cache::put("pace $this->service", (1.02 * (int) $m[2]) / (int) $m[1], self::KNOWN_FOR);
        } elseif (! $this->isFree() && Cache::get("pace $this->service") !== null) {
            Cache::forget("pace $this->service");
        }
    }

    /** Asking the cache for each of thousands of requests takes longer than it tells. */
    private function isFree(): bool
    {
        return (self::$free[$this->service] ?? 0) > microtime(true);
    }
}
