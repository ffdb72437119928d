<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use GuzzleHttp\Psr7\Uri;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Factory;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceSettings;
use Psr\Http\Message\UriInterface;

/** Speaks HTTP to one outside service, and turns everything but success into a failure in the service's own words. */
final readonly class Service
{
    /** Asked in the same way where it is sent on (RFC 6764, 5): PROPFIND stays PROPFIND. */
    private const REDIRECTS = ['strict' => true, 'max' => 5];

    public function __construct(private Factory $http, private PlaceSettings $place)
    {
    }

    public static function of(ExternalService $service): self
    {
        return new self(app(Factory::class), app(Places::class)->of($service));
    }

    public static function at(PlaceSettings $place): self
    {
        return new self(app(Factory::class), $place);
    }

    /**
     * The whole address of a path as the service writes it.
     *
     * @throws DestinationFailure where it leads to nowhere on the web, or to another host
     */
    public function whole(string $path): string
    {
        if (preg_match('~^https?://~', $path) === 1) {
            return $this->isOwn($path)
                ? $path
                : throw new DestinationFailure(
                    (string) __('places.other_host', ['service' => $this->name()]),
                    true,
                );
        }
        if (! str_starts_with($path, '/') || preg_match('~^https?://[^/]+~', $this->place->url, $origin) !== 1) {
            throw new DestinationFailure((string) __('places.no_address', ['service' => $this->name()]));
        }

        return $origin[0].$path;
    }

    /**
     * Whether an address is on the host that somebody has set: nothing goes to another one, the password least of all.
     * From plain to encrypted is allowed, to another port or back to plain is not.
     */
    private function isOwn(string $url): bool
    {
        [$set, $asked] = [new Uri($this->place->url), new Uri($url)];
        $isUpgrade = $set->getScheme() === 'http' && $asked->getScheme() === 'https';

        return $set->getHost() === $asked->getHost() &&
            ($isUpgrade || ($set->getScheme() === $asked->getScheme() && $set->getPort() === $asked->getPort()));
    }

    /** The name that it has in sentences: "the calendar server". */
    public function name(): string
    {
        return (string) __("places.services.{$this->place->service->value}.in_sentence");
    }

    /**
     * @param  string  $path  behind the place's address, or a whole address on it
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
        $url = preg_match('~^https?://~', $path) === 1 ? $this->whole($path) : $this->place->url.$path;
        $pace = new RateLimiter($this->place->service->value);
        $pace->wait($this->place->pace);
        $alone = function () use ($headers, $body, $type, $method, $url): mixed {
            try {
                return $this->request($headers, $body, $type)->send($method, $url);
            } catch (ConnectionException $e) {
                return $e;
            }
        };
        $response = ConcurrentRequests::await(
            fn (): OutgoingRequest => $this->beside($method, $url, $headers, $body, $type),
            $alone,
        );
        if ($response instanceof Response && $response->redirect()) {
            $response = $alone();
        }
        if (! ($response instanceof Response)) {
            throw new DestinationFailure(__('places.silent', ['service' => $this->name()]));
        }
        $pace->learn($response->header('RateLimit-Policy'));
        if ($response->successful() || in_array($response->status(), $expects, true)) {
            return $response;
        }
        throw $this->failure($response);
    }

    /** What is not a success, in the service's own words where it has any. */
    public function failure(Response $response): DestinationFailure
    {
        $words = trim((string) ($response->json('error') ?? strip_tags(substr($response->body(), 0, 200))));
        $status = $response->status();
        $wait = $response->header('Retry-After');

        return new DestinationFailure(
            $words === ''
                ? (string) __('places.answered', ['service' => $this->name(), 'status' => $status])
                : $words,
            $status >= 400 && $status < 500 && ! in_array($status, [408, 409, 423, 425, 429], true),
            is_numeric($wait) ? (float) $wait : null,
            $status,
        );
    }

    /**
     * The same request beside others: by curl itself, which takes a fifth of the time of the framework's client. It
     * follows no redirection; `send` asks again for the rare service that sends us on.
     *
     * @param  array<string, string>  $headers
     */
    private function beside(
        string $method,
        string $url,
        array $headers,
        string $body,
        string $type,
    ): OutgoingRequest {
        $headers += $body === '' ? [] : ['Content-Type' => $type];
        $headers += $this->authorization();

        $lines = [];
        foreach ($headers as $name => $value) {
            $lines[] = "$name: $value";
        }

        return new OutgoingRequest(
            $method,
            $url,
            $lines,
            $body,
            min(5, $this->place->timeout),
            $this->place->timeout,
        );
    }

    /** @return array<string, string> the header by which we are known, where there is one */
    private function authorization(): array
    {
        return match (true) {
            $this->place->user !== '' => [
                'Authorization' => 'Basic '.base64_encode("{$this->place->user}:{$this->place->password}"),
            ],
            $this->place->password !== '' => ['Authorization' => "Bearer {$this->place->password}"],
            default => [],
        };
    }

    /** @param  array<string, string>  $headers */
    private function request(array $headers, string $body, string $type): PendingRequest
    {
        $request = $this->http
            ->withHeaders($headers)
            ->withOptions([
                'allow_redirects' => self::REDIRECTS + [
                    'on_redirect' => function (mixed $asked, mixed $answer, UriInterface $to): void {
                        $this->whole((string) $to);
                    },
                ],
            ])
            ->connectTimeout(min(5, $this->place->timeout))
            ->timeout($this->place->timeout);
        $request =
            $this->place->user === ''
                ? ($this->place->password === ''
                    ? $request
                    : $request->withToken($this->place->password))
                : $request->withBasicAuth($this->place->user, $this->place->password);

        return $body === '' ? $request : $request->withBody($body, $type);
    }

    /**
     * Puts a document where it is expected to be in a known version, or not at all. Where the service says that
     * something else is there, what is there is read: if it is what we meant to put, an earlier try had arrived, and
     * all is well.
     *
     * @param  callable(Response): bool  $isOurs
     *
     * @throws Drifted|DestinationFailure
     */
    public function putVersion(
        string $path,
        string $body,
        ?string $etag,
        string $key,
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
                throw new Drifted(
                    trim((string) ($response->json('error') ?? __('places.other', ['service' => $this->name()]))),
                    new Found($key, $standing->header('ETag'), $standing->body()),
                );
            }
        }

        return new Receipt($path, $response->header('ETag'));
    }

    /**
     * Fetches something long into a file, and goes on where an earlier try stopped (RFC 9110, 14.2). It may take as
     * long as it does, as long as something comes: nothing of it is held in memory.
     *
     * @param  int  $most  bytes
     * @return string the type that the service says it is
     *
     * @throws DestinationFailure where it stops coming; what has come stays in the file
     */
    public function download(string $path, string $file, int $most): string
    {
        $idle = max(30.0, $this->place->timeout);
        $download = new Download($this->whole("{$this->place->url}$path"), $this->authorization(), $idle, $most);
        $download->into($file);
        if ($download->status >= 200 && $download->status < 300 && $download->isWhole) {
            return $download->type;
        }
        throw new DestinationFailure(
            (string) ($download->status === 0 || $download->status < 300
                ? __('places.stopped', ['service' => $this->name()])
                : __('places.answered', ['service' => $this->name(), 'status' => $download->status])),
            $download->isTooLong,
            null,
            $download->status,
        );
    }

    /** @throws DestinationFailure */
    public function delete(string $path): void
    {
        // 404: somebody, or an earlier try of ours, was there before. It is not there; that is what was wanted.
        $this->send('DELETE', $path, '', [], [404]);
    }
}
