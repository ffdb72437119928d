<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** One request, as far as the stand-ins look at it. */
final readonly class Request
{
    /**
     * @param  array<string, string>  $query
     * @param  array<string, string>  $headers  by lower-case name
     */
    public function __construct(
        public string $method,
        public string $path,
        public array $query,
        public array $headers,
        public string $body,
    ) {
    }

    public static function fromGlobals(): self
    {
        $headers = [];
        foreach (function_exists('getallheaders') ? getallheaders() : [] as $name => $value) {
            $headers[strtolower((string) $name)] = (string) $value;
        }
        $url = (string) ($_SERVER['REQUEST_URI'] ?? '/');

        return new self(
            (string) ($_SERVER['REQUEST_METHOD'] ?? 'GET'),
            (string) parse_url($url, PHP_URL_PATH),
            array_map(fn (mixed $v): string => is_string($v) ? $v : '', $_GET),
            $headers,
            (string) file_get_contents('php://input'),
        );
    }

    public function header(string $name): string
    {
        return $this->headers[$name] ?? '';
    }

    public function wantsPage(): bool
    {
        return $this->method === 'GET' && str_contains($this->header('accept'), 'text/html');
    }

    /** @return array<string, mixed> */
    public function json(): array
    {
        $value = json_decode($this->body, true);
        if (! is_array($value)) {
            throw new Refusal(400, 'A JSON object was expected.');
        }

        return $value;
    }

    /** The moment that a page shows: the `at` of the address, else the machine's clock. */
    public function at(): int
    {
        return ctype_digit($this->query['at'] ?? '') ? (int) $this->query['at'] : time();
    }
}
