<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Term\LocalDate;

/** An absence that was told. */
final readonly class ToldAbsence
{
    public function __construct(
        public int $id,
        public LocalDate $from,
        public LocalDate $to,
        public string $why,
        public string $by,
        public bool $isOver,
    ) {
    }
}
