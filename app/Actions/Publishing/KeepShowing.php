<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Registration\KeepTemplate;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Showings;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Post\Template;
use Nomada\Core\Publishing\PublishingOptions;
use Nomada\Core\Publishing\ShownText;

/**
 * How items are shown at the destinations, for the school or one section, and in what words. Nothing is sent: what
 * differs from then on is for the next run.
 */
final readonly class KeepShowing
{
    public function __construct(private RefreshPlacements $refresh, private Audit $audit, private KeepTemplate $keep)
    {
    }

    /**
     * @param  array<string, mixed>  $rules  as {@see PublishingOptions::from()} reads them
     * @param  string|null  $startedTold  how students are told of a session that begins now; null as it is
     *
     * @throws Fault that names the field
     */
    public function ofSchool(array $rules, Person $by, ?string $startedTold = null): void
    {
        $kept = Showings::ofSchool()->with($rules);
        if ($kept->for !== null) {
            throw new Fault('showing.section', 'for');
        }
        DB::transaction(function () use ($kept, $by, $startedTold): void {
            if ($startedTold !== null) {
                DB::table('schools')->update(['started_told' => $startedTold]);
            }
            $this->write(null, $kept->toArray(), $by);
            $this->all();
            ($this->audit)(
                'place',
                null,
                $by,
                new Said('audit.showing', ['rules' => json_encode($kept->toArray())]),
            );
        });
    }

    /**
     * Only in what a section differs from the school is its own: what the school changes later holds for the rest.
     *
     * @param  array<string, mixed>  $rules
     *
     * @throws Fault that names the field
     */
    public function ofSection(Section $section, array $rules, Person $by): void
    {
        $school = Showings::ofSchool();
        $kept = $school->with($rules);
        $this->areStudents($section, $kept->for ?? []);
        $own = array_udiff_assoc(
            $kept->toArray(),
            $school->toArray(),
            fn (mixed $a, mixed $b): int => $a === $b ? 0 : 1,
        );
        DB::transaction(function () use ($section, $own, $by): void {
            if ($own === []) {
                DB::table('publishing_options')->where('section_id', $section->id)->delete();
            } else {
                $this->write($section->id, $own, $by);
            }
            ($this->refresh)([$section->id]);
            ($this->audit)(
                'place',
                null,
                $by,
                new Said('audit.showing_of', [
                    'section' => $section->sourced_id,
                    'rules' => json_encode($own),
                ]),
            );
        });
    }

    /** Other words of something that is published; null for the usual ones. */
    public function words(ShownText $kind, string $language, ?Template $template, Person $by): void
    {
        DB::transaction(function () use ($kind, $language, $template, $by): void {
            $template === null
                ? $this->keep->drop($kind, $language)
                : ($this->keep)($template, $language, $by);
            $this->all();
            ($this->audit)(
                'place',
                null,
                $by,
                new Said('audit.words', [
                    'kind' => $kind->value,
                    'language' => $language,
                ]),
            );
        });
    }

    /** @param  array<string, mixed>  $rules */
    private function write(?int $section, array $rules, Person $by): void
    {
        DB::statement(
            'insert into publishing_options (section_id, rules, updated_by, updated_at) values (?, ?, ?, ?)
            on conflict (coalesce(section_id, 0)) do update set rules = excluded.rules,
                updated_by = excluded.updated_by, updated_at = excluded.updated_at',
            [$section, json_encode($rules, JSON_THROW_ON_ERROR), $by->id, now()],
        );
    }

    /** @param  list<string>  $chosen */
    private function areStudents(Section $section, array $chosen): void
    {
        $known = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->where('section_id', $section->id)
            ->where('memberships.role', MembershipRole::Student)
            ->pluck('people.sourced_id')
            ->all();
        $other = array_diff($chosen, $known);
        if ($other !== []) {
            throw new Fault('showing.others', 'for', ['others' => $other]);
        }
    }

    /** What should be is written down again for every section that has anything, behind the page. */
    private function all(): void
    {
        $sections = DB::table('published_items')->distinct()->orderBy('section_id')->pluck('section_id');
        RefreshSections::later($sections);
    }
}
