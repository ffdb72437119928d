<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** What was found of one registrant, with the evidence side by side. */
final readonly class Finding
{
    public function __construct(
        public Registrant $registrant,
        public Verdict $verdict,
        public ?RosterEntry $entry = null,
        public NameRelation $name = NameRelation::Different,
        public bool $sameAddress = false,
        public bool $isSchools = false,
    ) {
    }

    /** Why, in words. */
    public function why(): string
    {
        return match ($this->verdict) {
            Verdict::Certain => 'same address, name '.$this->name->value,
            Verdict::CheckName => 'same address, another name',
            Verdict::CheckAddress => ($this->name === NameRelation::Equal
                ? 'same name'
                : "name {$this->name->value}").
                ', another address'.
                ($this->isSchools ? ' of the school' : ', not of the school'),
            Verdict::AnotherAccount => ($this->sameAddress ? 'the address' : 'the name').
                ' of this student, typed from the account of somebody else',
            Verdict::AnotherSection => 'on the roster of another section of this course',
            Verdict::Already => 'this student is registered already',
            Verdict::Unknown => 'neither the address nor the name is on the roster',
        };
    }

    /**
     * A name as it was written, in pieces, with those that both names have.
     *
     * @return list<array{string, bool}>
     */
    public function marked(string $name): array
    {
        $shared = $this->shared();
        $out = [];
        foreach (preg_split('/(\s+)/u', $name, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$name] as $piece) {
            $words = PersonName::words($piece);
            $out[] = [$piece, $words !== [] && array_diff($words, $shared) === []];
        }

        return $out;
    }

    /** @return list<string> words of the registrant's name that the roster's name has too */
    public function shared(): array
    {
        return $this->entry === null
            ? []
            : array_values(array_intersect($this->registrant->name->words, $this->entry->name->words));
    }
}
