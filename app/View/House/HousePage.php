<?php

declare(strict_types=1);

namespace Nomada\App\View\House;

use Nomada\App\View\Timetable\Contact\ContactBar;
use Nomada\App\View\Timetable\Editor\Tick;
use Nomada\App\View\Timetable\Panel\FreeLine;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\ContactTime;
use Nomada\Core\Timetable\FreeTime;

/** Every component of the house, as its own first lines describe it, and what the samples of it are filled with. */
final readonly class HousePage
{
    /**
     * @param  array<string, string>  $components  what each is for, by its tag
     * @param  list<Tick>  $ticks
     * @param  list<ContactBar>  $bars  short of the target, just it, over it, without one
     * @param  list<FreeLine>  $free
     * @param  list<ImportFault>  $faults
     */
    private function __construct(
        public array $components,
        public array $ticks,
        public array $bars,
        public array $free,
        public array $faults,
    ) {
    }

    public static function of(string $folder): self
    {
        $day = LocalDate::parse('2027-02-18');
        $free = fn (int $clear, int $students): FreeTime => new FreeTime(
            0,
            615,
            45,
            12,
            $clear,
            0,
            $students,
            $day->day,
            $students,
            0,
            0,
            4,
            $day->day,
            on: $students > 0 ? 1 : 0,
        );
        $bar = fn (?int $target): ContactBar => ContactBar::of(
            new ContactTime(1200, 380, 660, 160, 80, $target),
            300,
        );

        return new self(
            self::components($folder),
            [new Tick('1', 'Mon', true), new Tick('2', 'Tue', false), new Tick('3', 'Wed', true)],
            array_map($bar, [1300, 1040, 900, null]),
            FreeLine::ofSeries([$free(12, 0), $free(11, 3)], $day),
            [
                new ImportFault('users.csv', 7, 'email', 'roster.email', 'galia@'),
                new ImportFault('users.csv', 9, 'metadata.language', 'roster.language', 'es_ES!', warning: true),
            ],
        );
    }

    /** @return array<string, string> */
    private static function components(string $folder): array
    {
        $out = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder)) as $file) {
            $path = substr((string) $file, strlen($folder) + 1);
            if (str_ends_with($path, '.blade.php')) {
                preg_match('/\{\{--\s*(.*?)\s*--\}\}/s', (string) file_get_contents((string) $file), $said);
                $tag = 'x-'.str_replace('/', '.', substr($path, 0, -strlen('.blade.php')));
                $out[$tag] = (string) preg_replace('/\s+/', ' ', $said[1] ?? '');
            }
        }
        ksort($out);

        return $out;
    }
}
