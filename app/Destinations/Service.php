<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Factory;
use Illuminate\Http\Client\Response;

/** Speaks HTTP to one outside service, and turns everything but success into a failure in the service's own words. */
final readonly class Service
{
    public function __construct(private Factory $http, private string $name, private string $path)
    {
    }

    public static function of(string $name, string $path): self
    {
        return new self(app(Factory::class), $name, $path);
    }

    /**
     * @param  array<string, string>  $headers
     * @param  list<int>  $expects  statuses that the caller handles itself
     *
     * @throws DestinationFailure
     */
    public function send(
        string $method,
        string $path,
        string $body = '',
        array $headers = [],
        array $expects = [],
        string $type = 'application/json',
    ): Response {
        $request = $this->http
            ->withToken((string) config('nomada.standins.token'))
            ->withHeaders($headers)
            ->connectTimeout(2)
            ->timeout((float) config('nomada.standins.timeout'));
        if ($body !== '') {
            $request = $request->withBody($body, $type);
        }
        $pace = new Pace($this->path);
        $pace->wait();
        try {
            $response = $request->send($method, config('nomada.standins.url').$this->path.$path);
        } catch (ConnectionException $e) {
            throw new DestinationFailure("The {$this->name} does not answer.", false, null, 0);
        }
        $pace->learn($response->header('RateLimit-Policy'));
        if ($response->successful() || in_array($response->status(), $expects, true)) {
            return $response;
        }
        $words = trim((string) ($response->json('error') ?? strip_tags(substr($response->body(), 0, 200))));
        $status = $response->status();
        $isFinal = $status >= 400 && $status < 500 && ! in_array($status, [408, 409, 423, 425, 429], true);
        $wait = $response->header('Retry-After');

        throw new DestinationFailure(
            $words === '' ? "The {$this->name} answered $status." : $words,
            $isFinal,
            is_numeric($wait) ? (float) $wait : null,
            $status,
        );
    }

    /**
     * Puts a document where it is expected to stand in a known version, or not at all. Where the service says that
     * something else stands there, what stands is read: if it is what we meant to put, an earlier try had arrived, and
     * all is well.
     *
     * @param  callable(Response): bool  $isOurs
     *
     * @throws DestinationFailure
     */
    public function putVersion(
        string $path,
        string $body,
        ?string $etag,
        callable $isOurs,
        string $type = 'application/json',
    ): Receipt {
        $condition = $etag === null ? ['If-None-Match' => '*'] : ['If-Match' => $etag];
        $response = $this->send('PUT', $path, $body, $condition, [412], $type);
        if ($response->status() === 412) {
            $standing = $this->send('GET', $path, '', ['Accept' => $type], [404]);
            if ($standing->status() === 404) {
                // Somebody deleted it there; ours is put back.
                $response = $this->send('PUT', $path, $body, ['If-None-Match' => '*'], [], $type);
            } elseif ($isOurs($standing)) {
                $response = $standing;
            } else {
                throw new DestinationFailure(
                    trim((string) ($response->json('error') ?? "The {$this->name} holds another version.")),
                    true,
                    null,
                    412,
                );
            }
        }

        return new Receipt($path, $response->header('ETag'));
    }

    /** @throws DestinationFailure */
    public function delete(string $path): void
    {
        // 404: somebody, or an earlier try of ours, was there before. It does not stand there; that is what was wanted.
        $this->send('DELETE', $path, '', [], [404]);
    }
}
