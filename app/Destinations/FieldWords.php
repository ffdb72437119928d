<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\Core\Publishing\Placement;

/** What the fields of a placement are called where people read them. */
final class FieldWords
{
    /**
     * @param  string  $code  "link", or "link 12" of one of several series
     * @param  array<int, string>  $of  the series' titles by id
     */
    public static function of(string $code, array $of = []): string
    {
        [$field, $series] = explode(' ', $code) + ['', ''];
        $title = $of[(int) $series] ?? null;
        $words = (string) __("places.fields.$field");

        return $title === null ? $words : (string) __('places.of_series', ['field' => $words, 'series' => $title]);
    }

    /** @return array<string, string|list<string>> the fields under their words */
    public static function fields(Placement $placement): array
    {
        $out = [];
        foreach ($placement->fields as $code => $value) {
            $out[self::of($code, $placement->of)] = $value;
        }

        return $out;
    }
}
