<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Term\Term;

/**
 * What publishing needs to know of one section. Series without a join link are not among them: nothing is published
 * that nobody can come in by.
 */
final readonly class SectionFacts
{
    /**
     * @param  list<SeriesFacts>  $series
     * @param  list<Reader>  $readers
     * @param  list<DropInFacts>  $rooms
     * @param  list<TellingFacts>  $tellings
     * @param  list<MaterialFacts>  $materials
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $teacher,
        public Term $term,
        public DoorRules $door,
        public array $series,
        public array $readers,
        public string $joinPage,
        public array $rooms = [],
        public array $tellings = [],
        public array $materials = [],
    ) {
    }
}
