<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\Registered;
use Nomada\Core\Interchange\Calendar\Answer;
use Nomada\Core\Term\LocalDate;

/** What the students who were sent a section's timetable have answered to it. */
final readonly class InvitationAnswers
{
    /** The key of those who have not answered. */
    public const OPEN = 'open';

    /** @param  array<string, list<string>>  $names  by answer, and of those without one, by family name */
    private function __construct(public array $names, public int $invited, public int $singles)
    {
    }

    public static function of(int $section, LocalDate $today): self
    {
        // Of several series, who says no to one of them says no.
        $rows = DB::table('emails')
            ->join('series_sections', 'series_sections.series_id', '=', 'emails.series_id')
            ->join('registrations as r', function ($join): void {
                $join->on('r.series_id', '=', 'emails.series_id')->on('r.person_id', '=', 'emails.person_id');
            })
            ->join('people', 'people.id', '=', 'emails.person_id')
            ->leftJoin('invitation_responses', function ($join): void {
                $join
                    ->on('invitation_responses.series_id', '=', 'emails.series_id')
                    ->on('invitation_responses.person_id', '=', 'emails.person_id');
            })
            ->where('section_id', $section)
            ->whereIn('emails.kind', ['accepted', 'changed', 'replaced'])
            ->whereNotNull('sent_at')
            ->whereRaw(Registered::on('r', $today))
            ->groupBy('people.id')
            ->orderBy('family_name')
            ->orderBy('given_name')
            ->get([
                DB::raw("trim(given_name || ' ' || family_name) as name"),
                DB::raw(
                    "max(case answer when 'declined' then 3 when 'tentative' then 2 when 'accepted' then 1 end)
                        filter (where session_at = 'epoch') as answered",
                ),
                DB::raw(
                    "count(distinct session_at) filter (where session_at > 'epoch' and answer = 'declined') as singles",
                ),
            ]);
        $names = [Answer::Declined->value => [], Answer::Tentative->value => [], self::OPEN => []];
        $names[Answer::Accepted->value] = [];
        foreach ($rows as $row) {
            $key = [3 => 'declined', 2 => 'tentative', 1 => 'accepted'][(int) $row->answered] ?? self::OPEN;
            $names[$key][] =
                $row->name.
                ($row->singles > 0
                    ? ' ('.trans_choice('registration.answers.single', (int) $row->singles).')'
                    : '');
        }

        return new self($names, count($rows), (int) $rows->sum('singles'));
    }

    public function count(string $answer): int
    {
        return count($this->names[$answer]);
    }
}
