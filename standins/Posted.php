<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** An item or a post as it was sent: a title, fields under their words, the codes of these, and what to do with it. */
final readonly class Posted
{
    /** @var array<string, mixed> under their words */
    private array $fields;

    /** @var array<string, string> words by code */
    private array $words;

    /** @var array<array-key, mixed> */
    private array $settings;

    /** @param  array<array-key, mixed>  $plain */
    public function __construct(private array $plain)
    {
        $fields = $words = [];
        $codes = array_values((array) ($plain['codes'] ?? []));
        foreach ((array) ($plain['fields'] ?? []) as $word => $value) {
            $code = $codes[count($fields)] ?? null;
            $fields[(string) $word] = $value;
            if (is_string($code)) {
                $words[$code] = (string) $word;
            }
        }
        $this->fields = $fields;
        $this->words = $words;
        $this->settings = (array) ($plain['settings'] ?? []);
    }

    public function title(): string
    {
        return self::text($this->plain['title'] ?? '');
    }

    public function block(): string
    {
        return self::text($this->plain['block'] ?? '');
    }

    /** The id that the place has for it. */
    public function item(): string
    {
        return self::text($this->plain['item'] ?? '');
    }

    public function field(string $code): mixed
    {
        return $this->fields[$this->words[$code] ?? ''] ?? null;
    }

    /** @return array<string, mixed> all fields but those with these codes, under their words */
    public function without(string ...$codes): array
    {
        return array_diff_key($this->fields, array_flip(array_intersect_key($this->words, array_flip($codes))));
    }

    public function setting(string $code): string
    {
        return self::text($this->settings[$code] ?? '');
    }

    /** @return list<string>|null whom it is for; null for everybody */
    public function readers(): ?array
    {
        $for = $this->settings['for'] ?? null;

        return is_array($for) ? array_values(array_map(self::text(...), $for)) : null;
    }

    /** Whether students see it at a moment. */
    public function isShown(int $at): bool
    {
        [$from, $till] = [$this->setting('from'), $this->setting('till')];

        return ($from === '' || strtotime($from) <= $at) && ($till === '' || strtotime($till) > $at);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
