<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\Letters;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\ChangeKind;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\ToldSession;

/**
 * Tells students at once of a session that begins now: by email, by a post in the class stream, or both, as the school
 * says. Nothing else of the section is published by it, and the next publish run does not tell of it again. A session
 * for chosen students is told to those alone, by email.
 */
final readonly class TellStarted
{
    public function __construct(
        private Clock $clock,
        private Letters $letters,
        private ToldSections $told,
        private RefreshPlacements $refresh,
        private StartRun $start,
    ) {
    }

    /** Within the transaction that adds the session. */
    public function __invoke(Session $session, Section $section, Person $by): void
    {
        $means = School::query()->orderBy('id')->firstOrFail()->started_told;
        $isForAll = $session->chosen === null;
        $told = ToldSession::of($session->toCore());
        $telling = (int) DB::table('announcements')->insertGetId([
            'section_id' => $section->id,
            'changes' => json_encode(
                [(new SessionChange(ChangeKind::Added, $session->series->title, null, $told))->toArray()],
                JSON_THROW_ON_ERROR,
            ),
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
            'is_in_stream' => $isForAll && $means !== School::BY_EMAIL,
        ]);
        if (! $isForAll || $means !== School::BY_STREAM) {
            $this->letters->told($telling, $section->id, $session->chosen);
        }
        if (! $isForAll) {
            return;
        }
        $this->told->add($section->id, $session->series->uid, $told);
        ($this->refresh)([$section->id]);
        if ($means !== School::BY_EMAIL) {
            $posts = Placement::query()
                ->where('place', Place::ClassStream)
                ->where('key', "$section->sourced_id/change-$telling")
                ->pluck('id');
            $this->start->these(array_values(array_map(intval(...), $posts->all())), $by);
        }
    }
}
