<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Registration\Matching;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Registration\Verdict;

/**
 * A queue of 9,000 registrants against 45,000 roster entries of 1,600 sections, a fifth of them typed with slips;
 * beside a plain comparison of all pairs (other sections of the course count too) over a sample of the same queue.
 */
final class Matches
{
    private const SAMPLE = 60;

    public function run(): bool
    {
        mt_srand(11);
        [$roster, $queue] = $this->school();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $at = hrtime(true);
        $found = (new Matching($roster, ['marisma.example']))->findings($queue);
        $ours = (hrtime(true) - $at) / 1e6;
        $memory = (memory_get_peak_usage() - $before) / 1048576;
        $at = hrtime(true);
        $plain = 0;
        foreach (array_slice($queue, 0, self::SAMPLE) as $registrant) {
            foreach ($roster as $entry) {
                $plain +=
                    $entry->address === $registrant->address ||
                    $registrant->name->compare($entry->name) !== NameRelation::Different
                        ? 1
                        : 0;
            }
        }
        $peer = (((hrtime(true) - $at) / 1e6) * count($queue)) / self::SAMPLE;
        $counts = array_count_values(array_map(fn ($f): string => $f->verdict->value, $found));
        $lost = count(
            array_filter(
                $found,
                fn ($f, int $i): bool => $i % 5 !== 0 && $f->verdict !== Verdict::Certain,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        printf(
            "match: %d registrants against %d roster entries: %s; %d that were typed right are not certain\n",
            count($queue),
            count($roster),
            json_encode($counts),
            $lost,
        );
        printf(
            '  ours %.0f ms with the best assignment, all pairs %.0f ms (from a sample of %d, %d likely pairs, '.
                "without assignment): %.0f times as fast; ours takes %.0f MB at its peak\n",
            $ours,
            $peer,
            self::SAMPLE,
            $plain,
            $peer / $ours,
            $memory,
        );

        return $ours <= 3000 && $memory < 256 && $lost === 0;
    }

    /** @return array{list<RosterEntry>, list<Registrant>} */
    private function school(): array
    {
        $given = [
            'Alba',
            'Bruno',
            'Celia',
            'Dario',
            'Edurne',
            'Farid',
            'Galia',
            'Hamza',
            'Iria',
            'Kostas',
            'Leire',
            'Nuno',
            'Olalla',
            'Quim',
            'Rui',
            'Soraya',
            'Teo',
            'Uxía',
            'Xoán',
            'Yara',
            'Zoé',
            'Íñigo',
            'Lúa',
            'Mar',
        ];
        $family = [
            'Brañas',
            'Couto',
            'Doural',
            'El Mansor',
            'Fontao',
            'Garrido',
            'Haddouchi',
            'Louzao',
            'Mirás',
            'Ouazzani',
            'Piñeiral',
            'Quirós',
            'Rebelo',
            'Sanz',
            'Tavares',
            'Urdiales',
            'de la Riba',
            'Yáñez',
            'Zabalo',
            'Øster',
        ];
        $people = [];
        for ($p = 1; $p <= 9000; $p++) {
            $people[$p] = [
                $given[mt_rand(0, count($given) - 1)].
                ' '.
                $family[mt_rand(0, count($family) - 1)].
                ' '.
                $family[mt_rand(0, count($family) - 1)],
                "student$p@marisma.example",
            ];
        }
        $roster = $queue = [];
        foreach ($people as $p => [$name, $address]) {
            for ($k = 0; $k < 5; $k++) {
                $section = 1 + (($p * 5 + $k * 331) % 1600);
                $roster[] = new RosterEntry($p, $name, $address, $section, intdiv($section, 3));
            }
            $section = 1 + (($p * 5) % 1600);
            $typed = match (count($queue) % 5 === 0 ? mt_rand(0, 3) : 4) {
                0 => [implode(' ', array_reverse(explode(' ', $name))), $address],
                1 => [substr($name, 0, 2).substr($name, 3), $address],
                2 => [$name, "me$p@postbox.example"],
                3 => ["Stranger $p", "stranger$p@postbox.example"],
                default => [$name, $address],
            };
            $queue[] = new Registrant(
                count($queue),
                mb_scrub($typed[0]),
                $typed[1],
                $section,
                intdiv($section, 3),
                $p,
            );
        }

        return [$roster, $queue];
    }
}
