<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

/** The calendar that a mail message carries (RFC 5322, 2045, 6047): the first part of the type text/calendar. */
final class MailedCalendar
{
    /** How deep parts may lie within parts, so that no message is followed for ever. */
    private const DEEPEST = 6;

    /** @return string|null null where it carries none */
    public static function in(string $message): ?string
    {
        return self::find($message, 0);
    }

    /** The one email address in the message's From, in small letters; null if there is none, or more than one. */
    public static function sender(string $message): ?string
    {
        $head = (preg_split('/\r?\n\r?\n/', ltrim($message, "\r\n"), 2) ?: [''])[0];
        $head = (string) preg_replace('/\r?\n[ \t]+/', ' ', $head);
        if (preg_match_all('/^From:[ \t]*(.*)$/im', $head, $m) !== 1) {
            return null;
        }
        // A name may be quoted, and hold anything that looks like an address.
        $from = (string) preg_replace('/"(?:[^"\\\\]|\\\\.)*"/', '', trim($m[1][0]));
        $found = preg_match('/<([^<>\s]+@[^<>\s]+)>\s*$/', $from, $in) === 1 ? $in[1] : $from;

        return preg_match('/^[^\s<>@,]+@[^\s<>@,]+$/', $found) === 1 ? mb_strtolower($found) : null;
    }

    private static function find(string $part, int $depth): ?string
    {
        $halves = preg_split('/\r?\n\r?\n/', ltrim($part, "\r\n"), 2) ?: [];
        // Folded lines are one.
        $head = (string) preg_replace('/\r?\n[ \t]+/', ' ', $halves[0] ?? '');
        $body = $halves[1] ?? '';
        $type = self::header($head, 'Content-Type');
        if (preg_match('#^multipart/.*boundary="?([^";]+)"?#is', $type, $m) === 1) {
            return $depth < self::DEEPEST ? self::among($body, $m[1], $depth + 1) : null;
        }
        if (preg_match('#^text/calendar\b#i', $type) !== 1) {
            return null;
        }

        return match (strtolower(self::header($head, 'Content-Transfer-Encoding'))) {
            'base64' => (string) base64_decode($body),
            'quoted-printable' => quoted_printable_decode($body),
            default => $body,
        };
    }

    private static function among(string $body, string $boundary, int $depth): ?string
    {
        $parts =
            preg_split('/(?:^|\r?\n)--'.preg_quote($boundary, '/').'(?:--)?[ \t]*(?:\r?\n|$)/', $body) ?: [];
        // Before the first boundary stands what programs without parts show.
        foreach (array_slice($parts, 1) as $part) {
            $found = self::find($part, $depth);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    private static function header(string $head, string $name): string
    {
        return preg_match("/^$name:[ \t]*(.*)$/im", $head, $m) === 1 ? trim($m[1]) : '';
    }
}
