<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use CurlHandle;
use GuzzleHttp\Psr7\Response as Answer;
use Illuminate\Http\Client\Response;
use InvalidArgumentException;

/** One request that goes beside others, and what came of it. */
final class OutgoingRequest
{
    /** @var non-empty-string */
    private readonly string $method;

    /** @var non-empty-string */
    private readonly string $url;

    private ?Response $answer = null;

    private bool $isOver = false;

    /**
     * @param  list<string>  $headers  lines, as they are sent
     * @param  float  $connects  seconds in which the other end has to be reached
     * @param  float  $within  seconds for all of it
     */
    public function __construct(
        string $method,
        string $url,
        private readonly array $headers,
        private readonly string $body,
        private readonly float $connects,
        private readonly float $within,
    ) {
        // What ends a line would begin a header of its own (RFC 9112, 5).
        if (
            $method === '' ||
            $url === '' ||
            preg_match('/[\r\n]/', implode('', [$method, $url, ...$headers])) === 1
        ) {
            throw new InvalidArgumentException('No request that can be sent');
        }
        $this->method = $method;
        $this->url = $url;
    }

    /** Sets up the handle that it is sent with. */
    public function over(CurlHandle $curl): void
    {
        curl_setopt_array($curl, [
            CURLOPT_URL => $this->url,
            CURLOPT_CUSTOMREQUEST => $this->method,
            // Without a wait for leave to send what is long (RFC 9110, 10.1.1), which not every service gives.
            CURLOPT_HTTPHEADER => [...$this->headers, 'Expect:'],
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
            CURLOPT_CONNECTTIMEOUT_MS => (int) (1000 * $this->connects),
            CURLOPT_TIMEOUT_MS => (int) (1000 * $this->within),
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_NOSIGNAL => true,
        ]);
        if ($this->body !== '') {
            curl_setopt($curl, CURLOPT_POSTFIELDS, $this->body);
        }
    }

    /** It is over: with all that came, headers first, or with nothing where nobody answered to its end. */
    public function end(CurlHandle $curl, bool $isWhole): void
    {
        $this->isOver = true;
        if (! $isWhole) {
            return;
        }
        $all = (string) curl_multi_getcontent($curl);
        $size = curl_getinfo($curl, CURLINFO_HEADER_SIZE);
        // Of several heads the last is the answer's own: before it stand those that only tell of it (RFC 9110, 15.2).
        $heads = explode("\r\n\r\n", rtrim(substr($all, 0, $size)));
        $headers = [];
        foreach (array_slice(explode("\r\n", end($heads)), 1) as $line) {
            [$name, $value] = explode(':', $line, 2) + [1 => ''];
            $headers[trim($name)][] = trim($value);
        }
        $this->answer = new Response(
            new Answer(curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $headers, substr($all, $size)),
        );
    }

    public function isOver(): bool
    {
        return $this->isOver;
    }

    /** Null where nobody answered, or not in time. */
    public function answer(): ?Response
    {
        return $this->answer;
    }
}
