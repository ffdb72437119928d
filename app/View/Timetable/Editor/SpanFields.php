<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

/** From when until when a series runs, as the form shows it. */
final readonly class SpanFields
{
    /**
     * @param  string  $endKind  term, date, held or keep
     * @param  int|null  $counted  after how many dates it ends, closed days counted, as an imported one may
     */
    public function __construct(
        public string $firstDay,
        public string $endKind,
        public string $endsOn,
        public string $count,
        public ?int $counted,
        public string $termFirst,
        public string $termLast,
        public string $termLastShort,
    ) {
    }
}
