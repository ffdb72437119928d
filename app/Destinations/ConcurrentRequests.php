<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Closure;
use CurlHandle;
use CurlMultiHandle;
use Fiber;
use Throwable;

/**
 * Does several things side by side that each wait for a service: while one waits, the others go on. What is done reads
 * like a plain list of requests; `Service::send` hands its request over, and gets the answer when it is there. Nothing
 * else is given up in between, so whatever a task does between two requests is done in one go.
 */
final class ConcurrentRequests
{
    /** Seconds for which we sleep at most until something comes in. */
    private const WAITS = 0.05;

    /** One for the whole process: it keeps connections. */
    private static ?CurlMultiHandle $all = null;

    /** @var list<CurlHandle> handles that are free at this moment */
    private static array $free = [];

    /** @var array<int, OutgoingRequest> under way, by their handle */
    private static array $under = [];

    /** @var list<Fiber<void, mixed, void, OutgoingRequest>> */
    private static array $own = [];

    /**
     * @template K of array-key
     * @template T
     *
     * @param  array<K, Closure(): T>  $tasks
     * @param  int  $atOnce  how many at once
     * @return array<K, T|Throwable> what each came to, in the order of the tasks
     */
    public static function run(array $tasks, int $atOnce = 8): array
    {
        $order = array_keys($tasks);
        $out = [];
        $waiting = [];
        while ($tasks !== [] || $waiting !== []) {
            while ($tasks !== [] && count($waiting) < $atOnce) {
                $key = array_key_first($tasks);
                $task = $tasks[$key];
                unset($tasks[$key]);
                $fiber = new Fiber(function () use ($key, $task, &$out): void {
                    try {
                        $out[$key] = $task();
                    } catch (Throwable $e) {
                        $out[$key] = $e;
                    }
                });
                self::$own[] = $fiber;
                $waiting = self::goOn($waiting, $fiber, $fiber->start());
            }
            $moved = false;
            foreach ($waiting as $n => [$fiber, $transfer]) {
                if (! $transfer->isOver()) {
                    continue;
                }
                unset($waiting[$n]);
                $moved = true;
                $waiting = self::goOn($waiting, $fiber, $fiber->resume());
            }
            if (! $moved && $waiting !== []) {
                self::move();
            }
        }

        $inOrder = [];
        foreach ($order as $key) {
            $inOrder[$key] = $out[$key];
        }

        return $inOrder;
    }

    /**
     * The answer of a request: beside others where this runs in `run`, on its own otherwise.
     *
     * @param  Closure(): OutgoingRequest  $beside
     * @param  Closure(): mixed  $alone
     */
    public static function await(Closure $beside, Closure $alone): mixed
    {
        if (! in_array(Fiber::getCurrent(), self::$own, true)) {
            return $alone();
        }
        $transfer = $beside();
        self::begin($transfer);
        Fiber::suspend($transfer);

        return $transfer->answer();
    }

    private static function begin(OutgoingRequest $transfer): void
    {
        $curl = array_pop(self::$free) ?? curl_init();
        $transfer->over($curl);
        self::$under[spl_object_id($curl)] = $transfer;
        curl_multi_add_handle(self::all(), $curl);
    }

    /** Sends and takes in what there is to, or waits for it. */
    private static function move(): void
    {
        curl_multi_exec(self::all(), $running);
        while (($done = curl_multi_info_read(self::all())) !== false) {
            $curl = $done['handle'];
            self::$under[spl_object_id($curl)]->end($curl, $done['result'] === CURLE_OK);
            unset(self::$under[spl_object_id($curl)]);
            curl_multi_remove_handle(self::all(), $curl);
            curl_reset($curl);
            self::$free[] = $curl;
            $running = 0;
        }
        // -1: there is nothing yet that could be waited for, as while a name is looked up.
        if ($running > 0 && curl_multi_select(self::all(), self::WAITS) === -1) {
            usleep(1000);
        }
    }

    private static function all(): CurlMultiHandle
    {
        return self::$all ??= curl_multi_init();
    }

    /**
     * @param  array<int, array{Fiber<void, mixed, void, OutgoingRequest>, OutgoingRequest}>  $waiting
     * @param  Fiber<void, mixed, void, OutgoingRequest>  $fiber
     * @return array<int, array{Fiber<void, mixed, void, OutgoingRequest>, OutgoingRequest}>
     */
    private static function goOn(array $waiting, Fiber $fiber, ?OutgoingRequest $transfer): array
    {
        if ($transfer === null) {
            self::$own = array_values(array_filter(self::$own, fn (Fiber $f): bool => $f !== $fiber));
        } else {
            $waiting[] = [$fiber, $transfer];
        }

        return $waiting;
    }
}
