<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Closure;
use Fiber;
use GuzzleHttp\Client;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\PromiseInterface;
use Throwable;

/**
 * Does several things side by side that each wait for a service: while one waits, the others go on. What is done reads
 * like a plain list of requests; `Service::send` hands its request over, and gets the answer when it is there. Nothing
 * else is given up in between, so whatever a task does between two requests is done in one go.
 */
final class Together
{
    private static ?CurlMultiHandler $handler = null;

    private static ?Client $client = null;

    /** @var list<Fiber<void, mixed, void, PromiseInterface>> */
    private static array $own = [];

    /**
     * @template K of array-key
     * @template T
     *
     * @param  array<K, Closure(): T>  $tasks
     * @param  int  $atOnce  how many at one time
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
            foreach ($waiting as $n => [$fiber, $promise]) {
                if ($promise->getState() === PromiseInterface::PENDING) {
                    continue;
                }
                unset($waiting[$n]);
                $moved = true;
                $waiting = self::goOn($waiting, $fiber, $fiber->resume());
            }
            if (! $moved && $waiting !== []) {
                self::handler()->tick();
            }
        }

        $inOrder = [];
        foreach ($order as $key) {
            $inOrder[$key] = $out[$key];
        }

        return $inOrder;
    }

    /**
     * The answer of a request: beside others where this runs in `run`, by itself otherwise.
     *
     * @param  Closure(): PromiseInterface  $beside
     * @param  Closure(): mixed  $alone
     */
    public static function await(Closure $beside, Closure $alone): mixed
    {
        if (! in_array(Fiber::getCurrent(), self::$own, true)) {
            return $alone();
        }
        $promise = $beside();
        Fiber::suspend($promise);

        return $promise->wait();
    }

    /** The client of whatever is asked side by side. */
    public static function client(): Client
    {
        return self::$client ??= new Client(['handler' => HandlerStack::create(self::handler())]);
    }

    /** One for the whole process: it keeps connections. */
    private static function handler(): CurlMultiHandler
    {
        return self::$handler ??= new CurlMultiHandler(['select_timeout' => 0.05]);
    }

    /**
     * @param  array<int, array{Fiber<void, mixed, void, PromiseInterface>, PromiseInterface}>  $waiting
     * @param  Fiber<void, mixed, void, PromiseInterface>  $fiber
     * @return array<int, array{Fiber<void, mixed, void, PromiseInterface>, PromiseInterface}>
     */
    private static function goOn(array $waiting, Fiber $fiber, ?PromiseInterface $promise): array
    {
        if ($promise === null) {
            self::$own = array_values(array_filter(self::$own, fn (Fiber $f): bool => $f !== $fiber));
        } else {
            $waiting[] = [$fiber, $promise];
        }

        return $waiting;
    }
}
