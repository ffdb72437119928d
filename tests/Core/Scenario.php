<?php

declare(strict_types=1);

namespace Tests\Core;

use Nomada\Core\Language\Phrases;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Publishing\PublishedWords;
use Nomada\Core\Publishing\ShownText;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Pattern;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;

/** The term of the demo school, and short ways to make what tests need. */
final class Scenario
{
    /**
     * How often a property is tried: the full number, or as much of it as NOMADA_ROUNDS says, so that some thousand
     * breakages can be tried in an hour.
     */
    public static function rounds(int $full): int
    {
        return max(2, (int) ($full * (float) (getenv('NOMADA_ROUNDS') ?: 1)));
    }

    public static function term(string $zone = 'Europe/Madrid'): Term
    {
        $range = fn (string $a, string $b, string $why): Closure => new Closure(
            LocalDate::parse($a),
            LocalDate::parse($b),
            $why,
        );

        return new Term(
            'Spring term',
            LocalDate::parse('2027-01-11'),
            LocalDate::parse('2027-04-23'),
            Zone::named($zone),
            [
                $range('2027-01-29', '2027-01-29', 'Staff day'),
                $range('2027-02-15', '2027-02-17', 'Carnival'),
                $range('2027-03-22', '2027-04-02', 'Easter break'),
            ],
        );
    }

    /** @param  list<int>|Pattern  $pattern */
    public static function plan(
        array|Pattern $pattern,
        string $from = '2027-01-11',
        ?SeriesEnd $end = null,
        int $minute = 600,
        int $minutes = 45,
        string $zone = 'Europe/Madrid',
    ): SeriesPlan {
        return new SeriesPlan(
            $pattern instanceof Pattern ? $pattern : new WeeklyPattern($pattern),
            LocalDate::parse($from),
            $end ?? SeriesEnd::withTerm(),
            $minute,
            $minutes,
            Zone::named($zone),
        );
    }

    public static function phrases(string $language = 'en'): Phrases
    {
        return new Phrases($language, self::file($language, 'published'));
    }

    /** @return array<string, mixed> the words of a file of lang/ */
    public static function file(string $language, string $name): array
    {
        $words = require dirname(__DIR__, 2)."/lang/$language/$name.php";

        return $words;
    }

    /** @return array<string, string> what is shown for each placeholder of a letter */
    public static function examples(LetterKind $kind, string $language = 'en'): array
    {
        $words = self::file($language, 'examples');

        return ($words['of'][$kind->value] ?? []) + $words['any'];
    }

    /** The usual words of a letter. */
    public static function letter(LetterKind $kind, string $language = 'en'): Template
    {
        $words = self::file($language, 'letters')[$kind->value];

        return new Template($kind, $words['subject'], $words['text']);
    }

    /**
     * The usual words of what is published.
     *
     * @param  array<string, array{string, string}>  $own  the school's own subject and text, by the text's code
     * @return array<string, PublishedWords> by language
     */
    public static function words(array $own = []): array
    {
        $out = [];
        foreach (['en', 'es'] as $language) {
            $usual = self::file($language, 'published')['texts'];
            $templates = [];
            foreach (ShownText::cases() as $kind) {
                $words = $usual[$kind->value];
                $templates[$kind->value] = new Template(
                    $kind,
                    ...$own[$kind->value] ?? [$words['subject'], $words['text']],
                );
            }
            $out[$language] = new PublishedWords(self::phrases($language), $templates);
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string> ISO dates
     */
    public static function dates(array $sessions, SessionState $state = SessionState::Planned): array
    {
        return array_values(
            array_map(
                fn (PlannedSession $s): string => (new LocalDate($s->day))->iso(),
                array_filter($sessions, fn (PlannedSession $s): bool => $s->state === $state),
            ),
        );
    }
}
