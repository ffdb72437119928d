<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;

/** What more than one place says of a section and its sessions. */
final class CommonFields
{
    /** @return array<string, string> link, code and phone of each series */
    public static function ways(SectionFacts $section): array
    {
        $words = $section->words();
        $out = [];
        foreach ($section->series as $series) {
            if ($series->isHidden) {
                $out[self::field($section, $series, 'link')] = $words->phrases->say('hidden');

                continue;
            }
            $out[self::field($section, $series, 'link')] = $series->link;
            $more = array_filter([
                'code' => self::code($words, $series->joinCode, $section),
                'phone' => self::phone($words, $series->dialIn, $series->pin),
            ]);
            foreach ($more as $field => $value) {
                $out[self::field($section, $series, $field)] = $value;
            }
        }

        return $out;
    }

    /** @return array<int, string> by series */
    public static function titles(SectionFacts $section): array
    {
        return array_column($section->series, 'title', 'id');
    }

    /** The field's code; of one of several series with its id, whose title a reader sees. */
    public static function field(SectionFacts $section, SeriesFacts $series, string $field): string
    {
        return count($section->series) > 1 ? "$field $series->id" : $field;
    }

    /** @return array<string, string> what any template may name */
    public static function named(SectionFacts $section): array
    {
        return ['class' => $section->title, 'teacher' => $section->teacher, 'school' => $section->school];
    }

    /** When its series are held, by the sentence that is true now; each with its title where there are several. */
    public static function meets(SectionFacts $section): string
    {
        $phrases = $section->words()->phrases;

        return implode(
            '; ',
            array_map(
                fn (SeriesFacts $s): string => $s->meets($phrases).
                    (count($section->series) > 1 ? " ($s->title)" : ''),
                $section->series,
            ),
        );
    }

    /** How long before the start its doors open. */
    public static function doors(SectionFacts $section, PublishedWords $words): string
    {
        return $words->phrases->say('doors', ['minutes' => $section->door->opensBefore]);
    }

    /** The join code as it is read out, and where it is typed in; empty if there is none. */
    public static function code(PublishedWords $words, string $code, SectionFacts $section): string
    {
        return $code === ''
            ? ''
            : $words->phrases->say('code', ['code' => JoinCode::show($code), 'address' => $section->joinPage]);
    }

    /** The number to dial, with its PIN; empty if there is none. */
    public static function phone(PublishedWords $words, string $number, string $pin): string
    {
        return $number === '' ? '' : $words->phrases->say('phone', ['number' => $number, 'pin' => $pin]);
    }

    /** ": Tides, with N. Haddad": what one session has of its own. */
    public static function told(PlannedSession $session, PublishedWords $words): string
    {
        $own = $session->own;
        if ($own === null) {
            return '';
        }
        $phrases = $words->phrases;
        $say = fn (string $code, ?string $value): string => $value === null
            ? ''
            : $phrases->say("own.$code", [$code => $value]);

        return $say('title', $own->title ?? $own->topic).
            $say('teacher', $own->teacherName).
            ($session->isForAll() ? '' : $phrases->say('own.chosen')).
            ($own->makesUp === null
                ? ''
                : $phrases->say('own.makes_up', ['day' => $phrases->day(new LocalDate($own->makesUp))])).
            $say('note', $own->note);
    }

    /** "Tue 9 Feb, 10:00–10:47 Madrid": on the clock of the term. */
    public static function when(SectionFacts $section, PlannedSession $session, PublishedWords $words): string
    {
        $zone = $section->term->zone;

        return $words->phrases->day(new LocalDate($zone->wall($session->start)[0])).
            ', '.
            $zone->clock($session->start).
            '–'.
            $zone->clock($session->end).
            ' '.
            $zone->place($words->phrases->language);
    }

    /**
     * Every session of every series, in the order of time.
     *
     * @return list<array{SeriesFacts, PlannedSession}>
     */
    public static function dated(SectionFacts $section, bool $withCancelled = false): array
    {
        $out = [];
        foreach ($section->series as $series) {
            foreach ($series->forAll($withCancelled) as $session) {
                $out[] = [$series, $session];
            }
        }
        usort($out, fn (array $a, array $b): int => [$a[1]->start, $a[0]->id] <=> [$b[1]->start, $b[0]->id]);

        return $out;
    }
}
