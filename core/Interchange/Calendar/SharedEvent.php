<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Closure;

/**
 * An event that many people have, each with a link and a note of their own: it is written once, and what is a person's
 * own is put into its text, byte for byte as if it had been written for them alone.
 */
final class SharedEvent
{
    /** Stand where a person's own comes; a link of the kind that is put there, so that it is written as one is. */
    private const LINK = 'https://nomada.invalid/zq7link7qz';

    private const NOTE = 'zq7note7qz';

    /** What a link may be made of, so that it reads the same in a text and as an address. */
    private const PLAIN = '~^https?://[A-Za-z0-9._:/?=&%+-]+$~D';

    /** @var list<array{string, bool}>|null lines, and whether anything of a person's own comes into them */
    private ?array $lines = null;

    /** @param  Closure(string, string): string  $writes  the calendar for a link and a note */
    public function __construct(private readonly Closure $writes)
    {
    }

    public function for(string $link, string $note): string
    {
        if (preg_match(self::PLAIN, $link) !== 1) {
            return ($this->writes)($link, $note);
        }
        // RFC 5545, 3.3.11.
        $own = [
            self::LINK => $link,
            self::NOTE => strtr($note, ['\\' => '\\\\', ';' => '\;', ',' => '\,', "\n" => '\n', "\r" => '']),
        ];
        $out = '';
        foreach ($this->lines ??= $this->lines() as [$line, $isOwn]) {
            $out .= $isOwn ? self::fold(strtr($line, $own)) : $line;
        }

        return $out;
    }

    /** @return list<array{string, bool}> */
    private function lines(): array
    {
        $whole = str_replace("\r\n ", '', ($this->writes)(self::LINK, self::NOTE));
        $out = [];
        foreach (explode("\r\n", rtrim($whole, "\r\n")) as $line) {
            $isOwn = str_contains($line, self::LINK) || str_contains($line, self::NOTE);
            $out[] = [$isOwn ? $line : self::fold($line), $isOwn];
        }

        return $out;
    }

    /** Lines of 75 octets at most, none cut within a character (RFC 5545, 3.1), as sabre/vobject folds them. */
    private static function fold(string $line): string
    {
        return substr((string) preg_replace('/((?:^.)?.{1,74}(?![\x80-\xbf]))/', "$1\r\n ", $line), 0, -1);
    }
}
