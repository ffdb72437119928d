<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\ReaderLanguage;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Post\Wording;
use Nomada\Core\Publishing\PublishedWords;
use Nomada\Core\Publishing\ShownText;

/** The words of each kind of text in each language: the school's own, else the usual ones of lang/. */
final class Templates
{
    public static function of(Wording $kind, string $language = 'en'): Template
    {
        $own = DB::table('templates')
            ->where('kind', $kind->code())
            ->where('language', $language)
            ->first(['subject', 'text']);

        return $own === null ? self::usual($kind, $language) : new Template($kind, $own->subject, $own->text);
    }

    public static function kind(string $code): ?Wording
    {
        return LetterKind::tryFrom($code) ?? ShownText::tryFrom($code);
    }

    public static function usual(Wording $kind, string $language): Template
    {
        $file = $kind instanceof LetterKind ? 'letters' : 'published.texts';
        $words = __("$file.{$kind->code()}", [], $language);
        $of = fn (string $field): string => is_array($words) && is_string($words[$field] ?? null)
            ? $words[$field]
            : '';

        return new Template($kind, $of('subject'), $of('text'));
    }

    /** @return array<string, string> what is shown for each placeholder where there is nothing of a section's own */
    public static function examples(Wording $kind, string $language): array
    {
        $own = ((array) __('examples.of', [], $language))[$kind->code()] ?? [];
        $any = (array) __('examples.any', [], $language);

        return array_intersect_key((array) $own + $any, array_flip($kind->placeholders()));
    }

    /** What a kind is called where its words are chosen. */
    public static function title(Wording $kind): string
    {
        $file = $kind instanceof LetterKind ? 'letters' : 'published.texts';

        return (string) __("$file.{$kind->code()}.title");
    }

    /** The phrases of what is published, in a language that there are words for. */
    public static function phrases(string $language): Phrases
    {
        return new Phrases($language, (array) __('published', [], $language));
    }

    /** @return array<string, PublishedWords> by language, of every language that there are words for */
    public static function published(): array
    {
        $own = [];
        foreach (
            DB::table('templates')
                ->whereIn('kind', array_column(ShownText::cases(), 'value'))
                ->get(['kind', 'language', 'subject', 'text']) as $row
        ) {
            $own[$row->language][$row->kind] = [$row->subject, $row->text];
        }
        $out = [];
        foreach (self::languages() as $language) {
            $templates = [];
            foreach (ShownText::cases() as $kind) {
                $words = $own[$language][$kind->value] ?? null;
                $templates[$kind->value] =
                    $words === null ? self::usual($kind, $language) : new Template($kind, ...$words);
            }
            $out[$language] = new PublishedWords(self::phrases($language), $templates);
        }

        return $out;
    }

    /** @return list<string> those that there are words for, the school's first */
    public static function languages(): array
    {
        return array_values(array_map(strval(...), (array) config('app.languages')));
    }

    /** In which language somebody is written to: as they chose, else as the roster says, else the school's. */
    public static function languageOf(?Person $reader): string
    {
        return ReaderLanguage::of([$reader?->language, $reader?->roster_language], self::languages());
    }

    public static function isOwn(Wording $kind, string $language): bool
    {
        return DB::table('templates')->where('kind', $kind->code())->where('language', $language)->exists();
    }
}
