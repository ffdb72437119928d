<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Post\Letters;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/** One letter to each guardian with all that a child missed on a day; nobody gets it twice. */
final readonly class WriteMissed
{
    public function __construct(private Letters $letters, private Audit $audit)
    {
    }

    /**
     * @param  array<int, list<int>>  $missed  sessions by student
     * @return int how many letters
     */
    public function __invoke(LocalDate $day, array $missed, Person $by): int
    {
        $n = 0;
        $students = Person::query()->whereKey(array_keys($missed))->with('guardians')->orderBy('id')->get();
        foreach ($students as $student) {
            $n += $this->letters->missed($student, $day->iso(), $missed[$student->id]);
        }
        if ($n > 0) {
            ($this->audit)('person', null, $by, new Said('audit.missed', ['n' => $n, 'day' => $day]));
        }

        return $n;
    }
}
