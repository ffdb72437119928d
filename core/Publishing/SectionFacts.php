<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use LogicException;
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
     * @param  array<string, PublishedWords>  $words  by language; the section's own is among them
     * @param  string  $school  its name
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
        public array $words = [],
        public PublishingOptions $showing = new PublishingOptions(),
        public string $school = '',
    ) {
    }

    /** What is said in a language; in the section's own where there are no words in that one, or none is given. */
    public function words(?string $language = null): PublishedWords
    {
        return $this->words[$language ?? $this->showing->language] ??
            ($this->words[$this->showing->language] ??
                throw new LogicException("There are no words for {$this->showing->language}."));
    }

    /**
     * The same for a page or feed that many read at one secret address, which a reader may keep after they left: no
     * link, code, number or PIN is in it, but an address at which each is asked who they are.
     *
     * @param  callable(int): string  $enter  the address of a series
     * @param  callable(int): string  $enterRoom  the address of a drop-in room
     */
    public function forManyReaders(callable $enter, callable $enterRoom): self
    {
        return new self(
            ...[
                ...get_object_vars($this),
                'series' => array_map(
                    fn (SeriesFacts $s): SeriesFacts => $s->enteredAt($s->link === '' ? '' : $enter($s->id)),
                    $this->series,
                ),
                'rooms' => array_map(
                    fn (DropInFacts $r): DropInFacts => $r->enteredAt($enterRoom($r->id)),
                    $this->rooms,
                ),
            ],
        );
    }

    /** @param  list<SeriesFacts>  $series */
    public function withSeries(array $series): self
    {
        return new self(
            $this->id,
            $this->title,
            $this->teacher,
            $this->term,
            $this->door,
            $series,
            $this->readers,
            $this->joinPage,
            $this->rooms,
            $this->tellings,
            $this->materials,
            $this->words,
            $this->showing,
            $this->school,
        );
    }
}
