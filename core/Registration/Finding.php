<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

use Nomada\Core\Language\Said;

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

    public function why(): Said
    {
        $name = new Said("found.names.{$this->name->value}");

        return match ($this->verdict) {
            Verdict::Certain => new Said('found.certain', ['name' => $name]),
            Verdict::CheckName => new Said('found.another_name'),
            Verdict::CheckAddress => new Said($this->isSchools ? 'found.elsewhere_school' : 'found.elsewhere', [
                'name' => $this->name === NameRelation::Equal ? new Said('found.same_name') : $name,
            ]),
            Verdict::AnotherAccount => new Said($this->sameAddress ? 'found.address_of' : 'found.name_of'),
            Verdict::AnotherSection => new Said('found.section'),
            Verdict::Already => new Said('found.already'),
            Verdict::Unknown => new Said('found.unknown'),
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
