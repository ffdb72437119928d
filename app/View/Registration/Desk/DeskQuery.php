<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Registration\CompareRegistrants;
use Nomada\App\Actions\Registration\RegistrationChecks;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\PersonName;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Registration\Verdict;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * The desk: the queue over all sections with what was found of each, the waiting list, and what was decided last.
 */
final readonly class DeskQuery
{
    private const SHOWN = CompareRegistrants::OF_EACH;

    public function __construct(private CompareRegistrants $compare, private Clock $clock)
    {
    }

    /**
     * @param  'queue'|'list'|'decided'|'changes'  $show
     * @param  string  $verdict  whose lines alone are shown, or empty
     * @param  bool  $now  compares a long queue here, however long it takes
     */
    public function page(Term $term, Person $for, string $show, string $verdict, bool $now = false): DeskPage
    {
        $of = $this->compare->of($term, $for);
        $zone = $term->calendar()->zone;

        return new DeskPage(
            $show,
            $of()->where('state', RegistrationState::Waiting)->count(),
            $of()->where('state', RegistrationState::Queued)->count(),
            $show === 'queue' ? $this->waiting($term, $for, $verdict, $now) : null,
            $show === 'list' ? $this->queued($of(), $zone) : [],
            $show === 'decided' ? $this->decided($of()) : [],
            $show === 'changes' ? $this->changes($term, $for) : [],
        );
    }

    private function waiting(Term $term, Person $for, string $verdict, bool $now): DeskQueue
    {
        $found = $this->compare->look($term, $for, $now);
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->servedBy($for)
            ->whereHas('series', fn ($q) => $q->whereNotNull('registering'))
            ->orderBy('title')
            ->get(['id', 'sourced_id', 'title', 'year', 'course_id']);

        return new DeskQueue(
            $found === null,
            $verdict,
            $found['counts'] ?? [],
            $found['safe'] ?? 0,
            $this->lines($found['shown'][$verdict] ?? [], $term->calendar()->zone),
            $sections->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])->all(),
        );
    }

    /**
     * @param  Builder<Registration>  $of
     * @return list<QueuedRow>
     */
    private function queued(Builder $of, Zone $zone): array
    {
        $rows = [];
        $places = [];
        $list = $of
            ->where('state', RegistrationState::Queued)
            ->with(['series.section', 'person'])
            ->orderBy('series_id')
            ->orderBy('only_day')
            ->orderBy('arrived_at')
            ->orderBy('id')
            ->limit(self::SHOWN)
            ->get();
        foreach ($list as $r) {
            $key = "$r->series_id $r->only_day";
            $places[$key] = ($places[$key] ?? 0) + 1;
            $rows[] = new QueuedRow(
                $r->id,
                self::for($r),
                $places[$key],
                (string) $r->typed_name,
                (string) $r->typed_email,
                self::at($r, $zone),
            );
        }

        return $rows;
    }

    /**
     * @param  Builder<Registration>  $of
     * @return list<DecidedRow>
     */
    private function decided(Builder $of): array
    {
        $decided = $of
            ->whereNotNull('decided_at')
            ->with(['series.section', 'person'])
            ->orderByDesc('decided_at')
            ->orderByDesc('id')
            ->limit(self::SHOWN)
            ->get();
        $letters = Letter::query()
            ->ofDecision()
            ->whereIn('registration_id', $decided->modelKeys())
            ->where('kind', '!=', 'received')
            ->orderBy('id')
            ->get(['registration_id', 'sent_at', 'trouble'])
            ->keyBy('registration_id');

        return array_values(
            $decided
                ->map(function (Registration $r) use ($letters): DecidedRow {
                    $letter = $letters[$r->id] ?? null;
                    $mayUndo = $letter !== null && $letter->sent_at === null && $r->before !== null;
                    $isSent = $r->before !== null && $r->before['series_id'] !== $r->series_id;

                    return new DecidedRow(
                        $r->id,
                        $r->typed_name ?? $r->person->name(),
                        self::for($r),
                        $r->state,
                        $isSent,
                        $r->reason,
                        match (true) {
                            $letter === null => DecidedRow::NONE,
                            $letter->sent_at !== null => DecidedRow::GONE,
                            default => DecidedRow::GOES,
                        },
                        $letter?->trouble,
                        $mayUndo,
                        ! $mayUndo && $r->state === RegistrationState::Accepted,
                    );
                })
                ->all(),
        );
    }

    /** The section, with the day where it is for one session. */
    private static function for(Registration $r): string
    {
        return $r->series->section->name().
            ($r->only_day === null ? '' : ', '.Say::day(LocalDate::parse($r->only_day)));
    }

    private static function at(Registration $r, Zone $zone): string
    {
        $at = $r->arrived_at === null ? null : (int) $r->arrived_at->timestamp;

        return $at === null ? '' : Say::day($zone->dateAt($at)).' '.$zone->clock($at);
    }

    /**
     * @param  array<int, Finding>  $findings
     * @return list<DeskLine>
     */
    private function lines(array $findings, Zone $zone): array
    {
        $registrations = Registration::query()
            ->whereKey(array_keys($findings))
            ->with(['series.section', 'person'])
            ->get()
            ->keyBy('id');
        $names = Section::query()
            ->whereKey(array_map(fn (Finding $f): int => $f->entry->section ?? 0, $findings))
            ->get(['id', 'sourced_id', 'title', 'year'])
            ->keyBy('id');
        $lines = [];
        foreach ($findings as $id => $f) {
            $r = $registrations[$id] ?? null;
            if ($r === null) {
                continue;
            }
            $account = $r->person->name();
            $to = $f->verdict === Verdict::AnotherSection && $f->entry !== null ? $names[$f->entry->section] : null;
            $lines[] = new DeskLine(
                $r->id,
                $r->series->section->name(),
                $r->series->section->sourced_id,
                $r->only_day === null ? '' : Say::day(LocalDate::parse($r->only_day)),
                self::at($r, $zone),
                $f->verdict,
                Say::this($f->why()),
                $f->marked((string) $r->typed_name),
                (string) $r->typed_email,
                // Names the account that registered if it is not the matched student's.
                $this->isOwn($f, $r, $account) ? null : $account,
                $f->entry === null ? [] : $f->marked($f->entry->name->typed),
                $f->entry->address ?? '',
                $f->sameAddress,
                RegistrationChecks::isSafe($f, $r),
                $to?->sourced_id,
                (string) $to?->name(),
            );
        }

        return $lines;
    }

    /** Whether the account is plainly the matched student's, or, without a match, the registrant's. */
    private function isOwn(Finding $finding, Registration $registration, string $account): bool
    {
        $typed = new PersonName((string) $registration->typed_name);

        return $finding->entry !== null
            ? $finding->entry->person === $registration->person_id
            : $typed->compare(new PersonName($account)) === NameRelation::Equal;
    }

    /**
     * Who joined or left a roster this term, newest first, and whether the registrations have followed.
     *
     * @return list<ChangedRow>
     */
    private function changes(Term $term, Person $for): array
    {
        $today = $term->calendar()->zone->dateAt($this->clock->seconds())->iso();
        $rows = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIn('section_id', Section::query()->where('term_id', $term->id)->servedBy($for)->select('id'))
            ->where('memberships.role', MembershipRole::Student)
            ->where(
                fn ($q) => $q
                    ->where('begins_on', '>', $term->starts_on)
                    ->orWhere(fn ($w) => $w->whereNotNull('ends_on')->where('ends_on', '<', $term->ends_on)),
            )
            ->orderByRaw('greatest(begins_on, ends_on) desc nulls last')
            ->limit(self::SHOWN)
            ->get([
                'given_name',
                'family_name',
                'person_id',
                'section_id',
                'sections.sourced_id',
                'sections.title',
                'sections.year',
                'begins_on',
                'ends_on',
                DB::raw(
                    '(select count(distinct r.series_id) from registrations r join series_sections s on
                        s.series_id = r.series_id where s.section_id = memberships.section_id and r.person_id =
                        memberships.person_id and '.
                        Registered::on('r', $term->calendar()->zone->dateAt($this->clock->seconds())).
                        ') as registered',
                ),
                DB::raw(
                    '(select count(*) from series_sections s where s.section_id = memberships.section_id) as series',
                ),
            ]);

        return array_values(
            $rows
                ->map(function (\stdClass $r) use ($today): ChangedRow {
                    $left = $r->ends_on !== null && $r->ends_on < $today;
                    $done = $left ? (int) $r->registered === 0 : (int) $r->registered >= (int) $r->series;

                    return new ChangedRow(
                        trim("$r->given_name $r->family_name"),
                        Section::called($r->year, $r->title),
                        $r->sourced_id,
                        $left ? 'left' : ($r->ends_on !== null ? 'leaves' : 'joined'),
                        Say::day(LocalDate::parse($r->ends_on ?? $r->begins_on)),
                        $done,
                    );
                })
                ->all(),
        );
    }
}
