<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Support\Facades\Lang;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\Placement;

/** What the fields of a placement are called where people read them, and what those say that are for the place. */
final class FieldWords
{
    /** Lines of a field that are shown of it. */
    private const LINES = 4;

    /**
     * @param  string  $code  "link", or "link 12" of one of several series
     * @param  array<int, string>  $of  the series' titles by id
     * @param  string|null  $language  of the reader where null
     */
    public static function of(string $code, array $of = [], ?string $language = null): string
    {
        [$field, $series] = explode(' ', $code) + ['', ''];
        $title = $of[(int) $series] ?? null;
        // What somebody else has put there has names of its own.
        $words = Lang::has("published.fields.$field")
            ? (string) __("published.fields.$field", [], $language)
            : $code;

        return $title === null
            ? $words
            : (string) __('published.of_series', ['field' => $words, 'series' => $title], $language);
    }

    /**
     * What a field says to people: those for the place hold codes.
     *
     * @param  string|list<string>  $value
     * @return string|list<string>
     */
    public static function value(string $code, string|array $value): string|array
    {
        if ($code === 'for') {
            return trans_choice('published.settings.for', count((array) $value), ['n' => count((array) $value)]);
        }
        if (is_array($value) || ! in_array($code, ['position', 'answers'], true)) {
            return $value;
        }
        [$kind, $item] = explode(' ', $value, 2) + ['', ''];

        return (string) __("published.settings.$code.$kind", ['item' => $item]);
    }

    /**
     * What a field says, cut to a few lines.
     *
     * @param  string|list<string>  $value
     */
    public static function shown(string $code, string|array $value): string
    {
        $value = self::value($code, $value);
        if (is_string($value)) {
            return $value;
        }
        $lines = array_map(self::withoutMoment(...), array_slice($value, 0, self::LINES));
        $more = count($value) - count($lines);

        return implode(
            "\n",
            $more > 0 ? [...$lines, (string) __('publishing.shown.more', ['n' => $more])] : $lines,
        );
    }

    /** The moments at which lines give way are for the place. */
    private static function withoutMoment(string $text): string
    {
        return (string) preg_replace('/^\d{4}-\S+Z /m', '', $text);
    }

    /** What a field said before, or says after a change. */
    public static function changed(FieldChange $change, string $text): string
    {
        $value =
            $text === ''
                ? ''
                : self::value($change->field, $change->field === 'for' ? explode("\n", $text) : $text);

        return self::withoutMoment(is_string($value) ? $value : $text);
    }

    /** @return array<string, string|list<string>> what is read, under its words in the placement's language */
    public static function fields(Placement $placement): array
    {
        $out = [];
        foreach ($placement->read() as $code => $value) {
            $out[self::of($code, $placement->of, $placement->language)] = $value;
        }

        return $out;
    }

    /**
     * What is sent of a placement as JSON: what is read under its words, the codes of these in the same order, and
     * what the place does with it.
     *
     * @return array<string, mixed>
     */
    public static function body(Placement $placement): array
    {
        $settings = $placement->settings();

        return [
            'title' => $placement->fields['title'],
            'language' => $placement->language,
            'codes' => array_keys($placement->read()),
            'fields' => self::fields($placement),
        ] + ($settings === [] ? [] : ['settings' => $settings]);
    }
}
