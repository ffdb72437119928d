<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Drift\AddedRow;
use Nomada\App\View\Publishing\Drift\DriftRow;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use stdClass;

/** What is at the destinations differently from how we left it, beside what we left, and what is left alone. */
final readonly class DriftPage
{
    /** Rows that are shown at most. */
    private const SHOWN = 200;

    /**
     * @param  list<DriftRow>  $rows
     * @param  int  $all  how many there are
     * @param  list<DriftRow>  $alone
     * @param  list<AddedRow>  $added
     * @param  int|null  $lookedAt  UTC seconds
     * @param  int  $silent  spaces that did not answer at the last look
     */
    private function __construct(
        public array $rows,
        public int $all,
        public array $alone,
        public array $added,
        public ?int $lookedAt,
        public int $silent,
        public \Nomada\Core\Term\Zone $zone,
    ) {
    }

    public static function of(Term $term, Person $for): self
    {
        $sections = Section::query()->where('term_id', $term->id)->servedBy($for)->get()->keyBy('id');
        $drifts = DB::table('outside_changes')
            ->join('published_items', 'published_items.id', '=', 'placement_id')
            ->whereIntegerInRaw('section_id', $sections->modelKeys());
        $all = (clone $drifts)->count();
        $rows = $drifts
            ->orderBy('section_id')
            ->orderBy('place')
            ->orderBy('published_items.id')
            ->limit(self::SHOWN)
            ->get(['placement_id', 'what', 'theirs', 'found_at']);
        $placements = Placement::query()->whereIntegerInRaw('id', $rows->pluck('placement_id'))->get()->keyBy('id');
        $row = function (Placement $placement, ?stdClass $drift) use ($sections): DriftRow {
            $section = $sections[$placement->section_id] ?? throw new LogicException('Of no section of this page');
            $ours = $placement->standing ?? [];
            $sealed = $drift === null ? null : $drift->theirs;
            $theirs = $sealed === null ? null : json_decode(Crypt::decryptString($sealed), true);

            return new DriftRow(
                $placement->id,
                $section->sourced_id,
                $section->name(),
                $placement->place,
                Say::this(ItemName::of($placement->place, $placement->key, $placement->label)),
                is_array($theirs) ? FieldChange::between(array_intersect_key($ours, $theirs), $theirs) : null,
            );
        };
        $looked = DB::table('check_results')->where('what', 'drift')->first();
        $found = [];
        foreach ($rows as $one) {
            if (isset($placements[$one->placement_id])) {
                $found[] = $row($placements[$one->placement_id], $one);
            }
        }

        return new self(
            $found,
            $all,
            array_values(
                Placement::query()
                    ->whereIntegerInRaw('section_id', $sections->modelKeys())
                    ->where('left_alone', true)
                    ->orderBy('section_id')
                    ->orderBy('id')
                    ->limit(self::SHOWN)
                    ->get()
                    ->map(fn (Placement $p): DriftRow => $row($p, null))
                    ->all(),
            ),
            self::added($sections->all()),
            $looked === null ? null : (int) strtotime($looked->at),
            (int) (json_decode($looked->result ?? '{}', true)['silent'] ?? 0),
            $term->calendar()->zone,
        );
    }

    /**
     * @param  array<int, Section>  $sections  by id
     * @return list<AddedRow>
     */
    private static function added(array $sections): array
    {
        $out = [];
        foreach (
            DB::table('foreign_items')
                ->whereIntegerInRaw('section_id', array_keys($sections))
                ->where('is_left', false)
                ->orderBy('section_id')
                ->orderBy('place')
                ->orderBy('key')
                ->limit(self::SHOWN)
                ->get() as $row
        ) {
            $section = $sections[$row->section_id];
            $out[] = new AddedRow(
                (int) $row->id,
                $section->sourced_id,
                $section->name(),
                Place::from($row->place),
                $row->title,
            );
        }

        return $out;
    }

    public function when(): string
    {
        return $this->lookedAt === null
            ? ''
            : Say::day($this->zone->dateAt($this->lookedAt)).' '.$this->zone->clock($this->lookedAt);
    }
}
