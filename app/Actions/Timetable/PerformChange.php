<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\SessionChangeForm;
use Nomada\Core\Timetable\SessionVerb;

/** Does what a form for the sessions of a series says. */
final readonly class PerformChange
{
    public function __construct(
        private ChangeSession $change,
        private MoveSessions $move,
        private PasteTopics $topics,
    ) {
    }

    /**
     * @param  Session|null  $session  null where one is added, or topics are pasted
     * @return int topics that found no session; 0 for anything else
     *
     * @throws Fault where it cannot be done; `session.gone` where the session was taken out
     */
    public function __invoke(Series $series, ?Session $session, SessionChangeForm $form, Person $by): int
    {
        if ($form->verb === SessionVerb::PasteTopics) {
            return ($this->topics)(
                $series,
                $form->text('topics'),
                $form->isOn('move'),
                $form->isOn('from_first'),
                $by,
            );
        }
        if ($form->verb === SessionVerb::Add) {
            $madeUp =
                $form->number('makes_up') === 0 ? null : $series->sessions()->findOrFail($form->number('makes_up'));
            $this->change->add(
                $series,
                $form->day(),
                $form->number('start'),
                $form->number('minutes'),
                $madeUp,
                $by,
            );

            return 0;
        }
        if ($session === null) {
            throw new Fault('session.gone', 'session');
        }
        match ($form->verb) {
            SessionVerb::Cancel => $this->change->cancel(
                $session,
                $form->text('reason'),
                $by,
                $form->isOn('keeps_topic'),
            ),
            SessionVerb::Restore => $this->change->restore($session, $by),
            SessionVerb::Remove => $this->change->remove($session, $by),
            SessionVerb::Move => ($this->move)(
                $session,
                $form->day(),
                $form->number('start'),
                $form->number('minutes'),
                $form->reach(),
                $by,
            ),
            SessionVerb::Describe => $this->change->tell(
                $session,
                $form->text('title'),
                $form->text('note'),
                $form->number('teacher') === 0 ? null : Person::query()->findOrFail($form->number('teacher')),
                $by,
            ),
        };

        return 0;
    }
}
