<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** The plain pages of the stand-ins. */
final class Page
{
    public static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_SUBSTITUTE, 'UTF-8');
    }

    public static function of(string $title, string $html, string $service = 'Stand-in'): string
    {
        return '<!doctype html><html lang="en-GB"><head><meta charset="utf-8"><meta name="viewport" '.
            'content="width=device-width, initial-scale=1"><title>'.
            self::text($title).
            '</title><link rel="stylesheet" href="/standins.css"></head><body><header><span>'.
            self::text($service).
            '</span><small>simulated, ships with Nomada</small></header><main><h1>'.
            self::text($title).
            '</h1>'.
            $html.
            '</main></body></html>';
    }

    /**
     * A definition list of fields; addresses become links.
     *
     * @param  array<string, mixed>  $fields
     */
    public static function fields(array $fields): string
    {
        $html = '';
        foreach ($fields as $name => $value) {
            $lines = array_map(self::line(...), is_array($value) ? $value : [$value]);
            $html .= '<dt>'.self::text((string) $name).'</dt><dd>'.implode('<br>', $lines).'</dd>';
        }

        return "<dl>$html</dl>";
    }

    private static function line(mixed $value): string
    {
        $text = self::text(is_scalar($value) ? (string) $value : '');

        return (string) preg_replace('#https?://[^\s<]+#', '<a href="$0">$0</a>', nl2br($text, false));
    }
}
