<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

use Nomada\Core\Fault;

/** The words of a kind of text: a subject of one line, and a text, with placeholders in braces. */
final readonly class Template
{
    /**
     * @throws Fault where a placeholder is unknown or one that is needed is missing, or the subject has a line break
     */
    public function __construct(public Wording $kind, public string $subject, public string $text)
    {
        if (trim($subject) === '' || preg_match('/[\r\n\x00-\x1f\x7f]/', $subject)) {
            throw new Fault('letter.subject', 'subject');
        }
        if (trim($text) === '' && $kind->needsText()) {
            throw new Fault('letter.empty', 'text');
        }
        preg_match_all('/\{([^{}]*)\}/', "$subject $text", $m);
        $known = $kind->placeholders();
        $unknown = array_values(array_unique(array_diff($m[1], $known)));
        if ($unknown !== []) {
            throw new Fault('letter.unknown', 'text', [
                'unknown' => self::braced($unknown),
                'known' => self::braced($known),
            ]);
        }
        preg_match_all('/\{([^{}]*)\}/', $text, $m);
        $missing = array_diff($kind->needs(), $m[1]);
        if ($missing !== []) {
            throw new Fault('letter.missing', 'text', ['missing' => self::braced($missing)]);
        }
    }

    /** @param  array<string>  $names */
    private static function braced(array $names): string
    {
        return '{'.implode('}, {', $names).'}';
    }

    /**
     * The text for somebody. What is put for a placeholder is never read for placeholders itself, and brings no line
     * break into the subject. A line in which there is nothing to put for any of its placeholders is left out.
     *
     * @param  array<string, string>  $values  by placeholder
     * @return array{string, string} subject, text
     */
    public function write(array $values): array
    {
        $pairs = [];
        foreach ($this->kind->placeholders() as $key) {
            $pairs['{'.$key.'}'] = $values[$key] ?? '';
        }

        return [
            trim((string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', strtr($this->subject, $pairs))),
            strtr(self::without($this->text, $pairs), $pairs),
        ];
    }

    /** @param  array<string, string>  $pairs  by placeholder with its braces */
    private static function without(string $text, array $pairs): string
    {
        $kept = array_filter(explode("\n", $text), function (string $line) use ($pairs): bool {
            preg_match_all('/\{\w+\}/', $line, $m);

            return $m[0] === [] || implode('', array_map(fn (string $p): string => $pairs[$p], $m[0])) !== '';
        });

        return implode("\n", $kept);
    }
}
