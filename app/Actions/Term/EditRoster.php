<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Nomada\App\Actions\Publishing\RosterOut;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\StagedText;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\RosterEdit;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Term\LocalDate;

/**
 * People changed by hand. An edit is kept as what was typed, and applied to the school's data as it is when it is
 * previewed and when it is saved: what somebody else changes in between is not overwritten.
 */
final readonly class EditRoster
{
    public function __construct(private RosterOut $roster)
    {
    }

    /**
     * @param  array<string, mixed>  $edit  what apply() reads
     * @return list<Fault> what is wrong with it
     */
    public function faults(Term $term, array $edit): array
    {
        return $this->apply(new RosterEdit($this->roster->rows($term, everybody: true)), $edit);
    }

    /** The school's data with a kept edit, as an import reads it. */
    public function data(Term $term, StagedText $kept): SchoolData
    {
        $roster = new RosterEdit($this->roster->rows($term, everybody: true));
        $faults = $this->apply($roster, (array) json_decode($kept->text, true));

        return $faults === [] ? SchoolReader::read($roster->texts()) : throw $faults[0];
    }

    /**
     * @param  array<string, mixed>  $edit  `role` and `lines`; or `person` with `to`, or with `leaves`, `joins`, `on`
     * @return list<Fault>
     */
    private function apply(RosterEdit $roster, array $edit): array
    {
        if (isset($edit['lines'])) {
            return $roster->add(Role::from((string) $edit['role']), (string) $edit['lines']);
        }
        if (isset($edit['to'])) {
            $roster->change((string) $edit['person'], array_map(strval(...), (array) $edit['to']));
        } else {
            $roster->move(
                (string) $edit['person'],
                ($edit['leaves'] ?? '') === '' ? null : (string) $edit['leaves'],
                ($edit['joins'] ?? '') === '' ? null : (string) $edit['joins'],
                LocalDate::parse((string) $edit['on']),
            );
        }

        return [];
    }
}
