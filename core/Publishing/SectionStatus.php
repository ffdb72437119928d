<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Issue;
use Nomada\Core\Language\Said;

/** How far a section has come, and from that its issues. Counts only, so that six hundred of them are cheap. */
final readonly class SectionStatus
{
    /**
     * @param  int  $series  how many it has, $linked of them with a join link
     * @param  int  $roster  students enrolled, $registered of them for every series
     * @param  list<string>  $clashes  what is said of each clash that nobody has accepted
     * @param  int  $absentRunning  students who have missed three sessions or more one after the other
     * @param  int  $changedThere  what somebody else has changed or deleted at a destination, until it is decided
     * @param  int  $seeOther  people and pages that told something else than the door, when the truth was last told
     * @param  int  $withoutAccount  sessions to come that no host account runs, where the school has accounts
     * @param  int  $beyond  series whose account has too few seats or minutes for them
     * @param  int  $withoutTime  series that have no time yet
     * @param  bool  $isToTell  whether students have not been told yet of something that changed
     * @param  array<string, array{add: int, change: int, remove: int, leave: int, trouble: int}>  $places  by Place
     */
    public function __construct(
        public int $series,
        public int $linked,
        public int $roster,
        public int $registered,
        public array $places,
        public array $clashes = [],
        public int $absentRunning = 0,
        public int $changedThere = 0,
        public int $seeOther = 0,
        public bool $isToTell = false,
        public int $withoutAccount = 0,
        public int $beyond = 0,
        public int $withoutTime = 0,
    ) {
    }

    /** @return list<Issue> the gravest first */
    public function issues(): array
    {
        $out = [];
        foreach (Place::cases() as $place) {
            $n = $this->places[$place->value]['trouble'] ?? 0;
            if ($n > 0) {
                $out[] = new Issue(
                    'refused',
                    true,
                    new Said('issue.refused', ['place' => $place->said(), 'n' => $n]),
                    'publishing',
                );
            }
        }
        if ($this->withoutTime > 0) {
            $out[] = new Issue(
                'no-time',
                true,
                new Said('issue.no_time', ['n' => $this->withoutTime]),
                'timetable',
            );
        } elseif ($this->series === 0) {
            $out[] = new Issue('no-series', true, new Said('issue.no_series'), 'timetable');
        }
        foreach ($this->clashes as $words) {
            $out[] = new Issue('clash', true, new Said('issue.clash', ['clash' => $words]), 'timetable');
        }
        if ($this->beyond > 0) {
            $out[] = new Issue('beyond', true, new Said('issue.beyond', ['n' => $this->beyond]), 'timetable');
        }
        if ($this->withoutAccount > 0) {
            $out[] = new Issue(
                'no-account',
                true,
                new Said('issue.no_account', ['n' => $this->withoutAccount]),
                'timetable',
            );
        }
        if ($this->absentRunning > 0) {
            $out[] = new Issue(
                'absences',
                false,
                new Said('issue.absences', ['n' => $this->absentRunning]),
                'records',
            );
        }
        if (
            $this->stands() &&
            $this->differing() > 0 &&
            ! in_array('refused', array_map(fn (Issue $s): string => $s->kind, $out), true)
        ) {
            $out[] = new Issue('changed', false, new Said('issue.changed'), 'publishing');
        }
        // Where every place is a page of ours nothing differs, and still nobody has been told.
        if ($this->isToTell && $this->differing() === 0) {
            $out[] = new Issue('to-tell', false, new Said('issue.to_tell'), 'publishing');
        }
        if ($this->changedThere > 0) {
            $out[] = new Issue(
                'changed-there',
                false,
                new Said('issue.changed_there', ['n' => $this->changedThere]),
                'publishing',
            );
        } elseif ($this->seeOther > 0 && $this->stands() && $this->differing() === 0) {
            $out[] = new Issue('truth', false, new Said('issue.truth', ['n' => $this->seeOther]), 'publishing');
        }
        if ($this->linked < $this->series) {
            $out[] = new Issue('no-link', false, new Said('issue.no_link'), 'joining');
        }
        if ($this->series > 0 && $this->registered < $this->roster) {
            $out[] = new Issue(
                'not-registered',
                false,
                new Said('issue.not_registered', ['n' => $this->roster - $this->registered]),
                'registration',
            );
        }
        if ($this->series > 0 && ! $this->stands()) {
            $out[] = new Issue('not-published', false, new Said('issue.not_published'), 'publishing');
        }

        return $out;
    }

    /** Whether anything of it is published anywhere. */
    public function stands(): bool
    {
        return $this->sum('leave', 'change', 'remove') > 0;
    }

    /** How many placements differ from what should be. */
    public function differing(): int
    {
        return $this->sum('add', 'change', 'remove');
    }

    /** Whether publishing has anything to do with it. */
    public function isUnpublished(): bool
    {
        return ! $this->stands() || $this->differing() > 0 || $this->isToTell;
    }

    private function sum(string ...$verbs): int
    {
        $sum = 0;
        foreach ($this->places as $counts) {
            foreach ($verbs as $verb) {
                $sum += $counts[$verb] ?? 0;
            }
        }

        return $sum;
    }
}
