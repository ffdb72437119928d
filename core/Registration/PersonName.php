<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

use Normalizer;

/**
 * A name as it is compared: case-folded, without marks and punctuation, its words in any order. Letters that no mark
 * makes (ß, ø, ł, æ, đ) stand for what people type instead of them.
 */
final readonly class PersonName
{
    private const LETTERS = [
        'ß' => 'ss',
        'ø' => 'o',
        'ł' => 'l',
        'æ' => 'ae',
        'œ' => 'oe',
        'đ' => 'd',
        'ð' => 'd',
        'þ' => 'th',
        'ı' => 'i',
        'ŋ' => 'n',
    ];

    /** @var list<string> words, in alphabetical order */
    public array $words;

    public string $joined;

    public function __construct(public string $typed)
    {
        $words = self::words($typed);
        sort($words);
        $this->words = $words;
        $this->joined = implode(' ', $words);
    }

    /** @return list<string> in the order of the text */
    public static function words(string $text): array
    {
        $plain = (string) preg_replace(
            '/\p{M}/u',
            '',
            Normalizer::normalize(mb_strtolower(mb_scrub($text)), Normalizer::FORM_D) ?:
            mb_strtolower(mb_scrub($text)),
        );

        return array_values(
            array_filter(
                preg_split('/[^a-z0-9\p{L}]+/u', strtr($plain, self::LETTERS)) ?: [],
                fn (string $w): bool => $w !== '',
            ),
        );
    }

    public function compare(self $other): NameRelation
    {
        if ($this->words === [] || $other->words === []) {
            return NameRelation::Different;
        }
        if ($this->joined === $other->joined) {
            return NameRelation::Equal;
        }
        [$short, $long] = count($this->words) <= count($other->words) ? [$this, $other] : [$other, $this];
        if (self::isWithin($short->words, $long->words) && mb_strlen(implode('', $short->words)) >= 3) {
            return NameRelation::Containing;
        }

        return JaroWinkler::of($this->joined, $other->joined) >= 0.92 || $this->isNearWordByWord($other)
            ? NameRelation::Near
            : NameRelation::Different;
    }

    /** Each word beside its likest: a slip in the first letter changes the alphabetical order of the whole. */
    private function isNearWordByWord(self $other): bool
    {
        if (count($this->words) !== count($other->words) || count($this->words) < 2) {
            return false;
        }
        $left = $other->words;
        $sum = 0.0;
        foreach ($this->words as $word) {
            $best = -1;
            $likest = -1.0;
            foreach ($left as $i => $candidate) {
                $like = JaroWinkler::of($word, $candidate);
                if ($like > $likest) {
                    [$best, $likest] = [$i, $like];
                }
            }
            if ($likest < 0.8) {
                return false;
            }
            $sum += $likest;
            unset($left[$best]);
        }

        return $sum / count($this->words) >= 0.92;
    }

    /**
     * @param  list<string>  $some
     * @param  list<string>  $all
     */
    private static function isWithin(array $some, array $all): bool
    {
        foreach ($some as $word) {
            $at = array_search($word, $all, true);
            if ($at === false) {
                return false;
            }
            unset($all[$at]);
        }

        return true;
    }
}
