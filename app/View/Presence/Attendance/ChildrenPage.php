<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Models\Term\Person;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Support\Clock;

/** What a guardian sees: the children's attendance, and where to tell an absence. */
final readonly class ChildrenPage
{
    /** @param  list<StudentPage>  $children */
    private function __construct(public Person $guardian, public array $children)
    {
    }

    public static function of(Person $guardian, Attendances $attendances, Clock $clock): self
    {
        return new self(
            $guardian,
            array_values(
                $guardian
                    ->wards()
                    ->orderBy('given_name')
                    ->get()
                    ->map(fn (Person $p): StudentPage => StudentPage::of($p, $attendances, $clock))
                    ->all(),
            ),
        );
    }

    public function tell(): string
    {
        return $this->guardian->signed('children.tell');
    }
}
