<?php

declare(strict_types=1);

namespace Nomada\Standins;

final readonly class Answer
{
    /** @param  array<string, string>  $headers */
    public function __construct(public int $status, public string $body = '', public array $headers = [])
    {
    }

    /**
     * @param  array<string, mixed>  $value
     * @param  array<string, string>  $headers
     */
    public static function json(int $status, array $value, array $headers = []): self
    {
        return new self(
            $status,
            (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            ['Content-Type' => 'application/json'] + $headers,
        );
    }

    public static function page(string $html, int $status = 200): self
    {
        return new self($status, $html, ['Content-Type' => 'text/html; charset=utf-8']);
    }
}
