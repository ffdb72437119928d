<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Fault;
use Nomada\Core\Publishing\MaterialFacts;

/** Adds and takes out what students of a section need; it stands with its item after the next publish run. */
final readonly class KeepMaterials
{
    /** Of one section; more nobody reads. */
    private const MOST = 200;

    public function __construct(private RefreshPlacements $refresh, private Audit $audit)
    {
    }

    /**
     * @param  int|null  $session  of which one it is; null for the whole section
     *
     * @throws Fault
     */
    public function add(Section $section, ?int $session, string $title, string $address, Person $by): void
    {
        $material = MaterialFacts::typed($title, $address);
        DB::transaction(function () use ($section, $session, $material, $by): void {
            $isTheirs =
                $session === null ||
                DB::table('sessions')
                    ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                    ->where('section_id', $section->id)
                    ->where('sessions.id', $session)
                    ->exists();
            if (! $isTheirs) {
                throw new Fault('Choose one of this section\'s sessions.', 'material_session');
            }
            if (DB::table('materials')->where('section_id', $section->id)->count() >= self::MOST) {
                throw new Fault('A section has at most '.self::MOST.' of them; take some out first.', 'material_title');
            }
            DB::table('materials')->insert([
                'section_id' => $section->id,
                'session_id' => $session,
                'title' => $material->title,
                'address' => $material->address,
                'created_by' => $by->id,
                'created_at' => now(),
            ]);
            ($this->audit)('place', null, $by, "material added: $material->title", $section);
            ($this->refresh)([$section->id]);
        });
    }

    public function remove(Section $section, int $material, Person $by): void
    {
        DB::transaction(function () use ($section, $material, $by): void {
            $row = DB::table('materials')->where(['id' => $material, 'section_id' => $section->id])->first();
            abort_if($row === null, 404);
            DB::table('materials')->delete($material);
            ($this->audit)('place', null, $by, "material taken out: $row->title", $section);
            ($this->refresh)([$section->id]);
        });
    }
}
