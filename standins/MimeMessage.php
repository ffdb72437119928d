<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * A MIME message as a mailbox reads it (RFC 5322, 2045, 2047): headers decoded, and its parts flat. By PHP's own
 * decoders; no current library of the registries fits beside the other packages.
 */
final class MimeMessage
{
    /** @var array<string, string> by lower-case name */
    private array $headers;

    /** @var list<array{type: string, name: string, isAttached: bool, content: string}> */
    public readonly array $parts;

    public function __construct(string $message)
    {
        [$head, $body] = self::split($message);
        $this->headers = self::headers($head);
        $this->parts = self::parts($head, $body, 0);
    }

    public function header(string $name): string
    {
        return $this->headers[strtolower($name)] ?? '';
    }

    public function text(): string
    {
        return $this->of('text/plain');
    }

    public function html(): string
    {
        return $this->of('text/html');
    }

    /** @return list<array{type: string, name: string, isAttached: bool, content: string}> */
    public function attachments(): array
    {
        return array_values(array_filter($this->parts, fn (array $p): bool => $p['isAttached']));
    }

    private function of(string $type): string
    {
        foreach ($this->parts as $part) {
            if ($part['type'] === $type && ! $part['isAttached']) {
                return $part['content'];
            }
        }

        return '';
    }

    /** @return array{string, string} */
    private static function split(string $message): array
    {
        $parts = preg_split('/\r?\n\r?\n/', $message, 2) ?: [''];

        return [$parts[0], $parts[1] ?? ''];
    }

    /** @return array<string, string> */
    private static function headers(string $head): array
    {
        $out = [];
        foreach (
            iconv_mime_decode_headers($head, ICONV_MIME_DECODE_CONTINUE_ON_ERROR, 'UTF-8') ?: [] as $name => $value
        ) {
            $out[strtolower((string) $name)] = is_array($value) ? (string) ($value[0] ?? '') : $value;
        }

        return $out;
    }

    /** @return list<array{type: string, name: string, isAttached: bool, content: string}> */
    private static function parts(string $head, string $body, int $depth): array
    {
        $headers = self::headers($head);
        $type = $headers['content-type'] ?? 'text/plain';
        if ($depth < 5 && preg_match('/^multipart\/.*boundary="?([^";]+)"?/is', $type, $m)) {
            $out = [];
            foreach (
                array_slice(
                    preg_split('/(?:^|\r?\n)--'.preg_quote($m[1], '/').'(?:--)?[ \t]*(?:\r?\n|$)/', $body) ?:
                    [],
                    1,
                ) as $part
            ) {
                if (trim($part) !== '') {
                    array_push($out, ...self::parts(...[...self::split($part), $depth + 1]));
                }
            }

            return $out;
        }
        $content = match (strtolower(trim($headers['content-transfer-encoding'] ?? ''))) {
            'base64' => (string) base64_decode($body),
            'quoted-printable' => quoted_printable_decode($body),
            default => $body,
        };
        $place = $headers['content-disposition'] ?? '';
        preg_match('/name="?([^";]+)"?/i', "$place; $type", $name);

        return [
            [
                'type' => strtolower(trim(explode(';', $type)[0])),
                'name' => $name[1] ?? '',
                'isAttached' => stripos($place, 'attachment') === 0,
                'content' => $content,
            ],
        ];
    }
}
