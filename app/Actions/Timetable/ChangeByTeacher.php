<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\HistoryLine;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Permission;
use Nomada\Core\Timetable\SessionChangeForm;
use Nomada\Core\Timetable\SessionVerb;

/**
 * What a teacher changes of a section's sessions: done at once where the school allows it, else written down as a
 * request. A coordinator needs no leave.
 */
final readonly class ChangeByTeacher
{
    public function __construct(private Clock $clock, private PerformChange $perform, private LookAtChange $look)
    {
    }

    /**
     * @param  string  $why  for the coordinator, where it becomes a request
     * @return ChangeRequest|int the request; or, where it was done, how many topics found no session
     *
     * @throws Fault where it cannot be done, or `request.forbidden` where teachers may not even ask for it
     */
    public function __invoke(
        Person $by,
        Section $section,
        Series $series,
        ?Session $session,
        SessionChangeForm $form,
        string $why = '',
    ): ChangeRequest|int {
        if ($by->isCoordinator()) {
            return ($this->perform)($series, $session, $form, $by);
        }
        $rights = $section->teacherRights();
        $act = $form->act($session?->teacher_id);
        if ($rights->of($act) === Permission::No) {
            throw new Fault('request.forbidden', 'session');
        }
        $look = ($this->look)($series, $session, $form, $by);
        $answer = $rights->answer(
            $act,
            $this->clock->seconds(),
            $this->start($section, $session, $form),
            $look->isClear() && self::isOnlyOf($by, $series),
        );

        return $answer === Permission::Yes
            ? ($this->perform)($series, $session, $form, $by)
            : ChangeRequest::query()->create([
                'section_id' => $section->id,
                'series_id' => $series->id,
                'session_id' => $session?->id,
                'person_id' => $by->id,
                'form' => $form->toArray(),
                'words' => HistoryLine::columns($look->line)['words'],
                'said' => $look->line->toArray(),
                'why' => trim($why),
                'asked_at' => $this->clock->now(),
            ]);
    }

    /**
     * Holds a cancelled session after all.
     *
     * @throws Fault
     */
    public function restore(Person $by, Section $section, Series $series, Session $session): ChangeRequest|int
    {
        return $this($by, $section, $series, $session, SessionChangeForm::restore());
    }

    /**
     * Takes an extra session out again.
     *
     * @throws Fault
     */
    public function remove(Person $by, Section $section, Series $series, Session $session): ChangeRequest|int
    {
        return $this($by, $section, $series, $session, SessionChangeForm::remove());
    }

    /** Whether no section shares the series in which somebody else teaches. */
    private static function isOnlyOf(Person $by, Series $series): bool
    {
        return Section::query()->whereKey($series->sectionIds())->servedBy($by)->count() ===
            count($series->sectionIds());
    }

    /** When the session begins, before or after the change, whichever is sooner; UTC seconds. */
    private function start(Section $section, ?Session $session, SessionChangeForm $form): ?int
    {
        if ($session === null) {
            return null;
        }
        $is = (int) $session->starts_at->timestamp;

        return $form->verb === SessionVerb::Move
            ? min($is, $section->term->calendar()->zone->instant($form->day()->day, $form->number('start')))
            : $is;
    }
}
