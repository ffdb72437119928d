<?php

declare(strict_types=1);

namespace Tests\Support;

use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Nomada\App\Support\Services;

/** The stand-ins as a real process on a free port, started once for the whole test run. */
final class StandinServer
{
    private static ?self $shared = null;

    public readonly CookieJar $cookies;

    private function __construct(public readonly string $url, public readonly string $token)
    {
        $this->cookies = new CookieJar();
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            $port = self::freePort();
            $services = new Services();
            [$command, $env] = Services::standins($port);
            $services->start("standins-test-$port", $command, $env + ['STANDINS_PROCESSING' => '1']);
            $services->waitForService("standins-test-$port", $port) ||
                throw new \RuntimeException('The stand-ins did not come up');
            self::$shared = new self("http://127.0.0.1:$port", $env['STANDINS_TOKEN']);
            register_shutdown_function(fn () => $services->stop(1));
        }

        return self::$shared;
    }

    public static function at(string $url, string $token): self
    {
        return new self($url, $token);
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('no port is free');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    public function reset(): void
    {
        $this->post('/controls/reset', []);
    }

    /** @param  array<string, mixed>  $how failures, words, only_path, slow_ms, per_second */
    public function behave(string $service, array $how): void
    {
        $this->post("/controls/$service", $how);
    }

    /** @return array<string, mixed> */
    public function get(string $path): array
    {
        return (array) Http::withToken($this->token)
            ->get($this->url.$path)
            ->json();
    }

    public function text(string $path): string
    {
        return Http::withToken($this->token)
            ->get($this->url.$path)
            ->body();
    }

    /** A page as a person sees it at its whole address, always in the same browser. */
    public function page(string $url): string
    {
        return Http::withHeaders(['Accept' => 'text/html'])
            ->withOptions(['cookies' => $this->cookies])
            ->get($url)
            ->body();
    }

    /**
     * What somebody does in a room, in that browser.
     *
     * @param  array<string, mixed>  $what
     */
    public function does(string $url, array $what): Response
    {
        return Http::asJson()
            ->withOptions(['cookies' => $this->cookies])
            ->post(str_replace('?', '/do?', $url), $what);
    }

    /** @param  array<string, mixed>  $body */
    public function post(string $path, array $body): void
    {
        Http::withToken($this->token)
            ->asJson()
            ->post($this->url.$path, $body)
            ->throw();
    }

    public function delete(string $path): void
    {
        Http::withToken($this->token)
            ->delete($this->url.$path)
            ->throw();
    }

    public function put(string $path, string $body): void
    {
        Http::withToken($this->token)
            ->withBody($body, 'application/json')
            ->put($this->url.$path)
            ->throw();
    }
}
