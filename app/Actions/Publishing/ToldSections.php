<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\Changes;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\ToldSeries;
use Nomada\Core\Publishing\ToldSession;

/**
 * What a section's students were last told of it, and until when something is left to tell: written again whenever
 * anything of the section changes, so that one question finds whom nobody has told yet.
 */
final readonly class ToldSections
{
    public function __construct(private Clock $clock, private Webhooks $webhooks)
    {
    }

    /**
     * What the students of sections are told of them from now on, where they were never told.
     *
     * @param  array<int, SectionFacts>  $facts  by section
     */
    public function first(array $facts): void
    {
        $told = DB::table('section_announcements')
            ->whereIntegerInRaw('section_id', array_keys($facts))
            ->pluck('section_id');
        foreach (array_diff_key($facts, array_flip($told->all())) as $section => $new) {
            DB::transaction(function () use ($section, $new): void {
                if (DB::table('section_announcements')->insertOrIgnore($this->row($section, $new)) > 0) {
                    $this->webhooks->tell(Webhooks::PUBLISHED, ['section' => $new->id, 'title' => $new->title]);
                }
            });
        }
    }

    /** Told as it is now: nothing is left. */
    public function keep(int $section, SectionFacts $facts): void
    {
        DB::table('section_announcements')->upsert($this->row($section, $facts), ['section_id']);
    }

    /** One session more that was told; where nothing of the section was ever told, nothing is. */
    public function add(int $section, string $uid, ToldSession $session): void
    {
        $row = DB::table('section_announcements')->where('section_id', $section)->lock('for update')->first();
        $all = $row === null ? [] : self::read($row->state);
        if (isset($all[$uid])) {
            $all[$uid] = $all[$uid]->with($session);
            DB::table('section_announcements')
                ->where('section_id', $section)
                ->update([
                    'state' => json_encode(
                        array_map(fn (ToldSeries $s): array => $s->toArray(), array_values($all)),
                        JSON_THROW_ON_ERROR,
                    ),
                ]);
        }
    }

    /**
     * Within a transaction, after anything of a section has changed.
     *
     * @return bool whether its students were ever told of it
     */
    public function follow(int $section, SectionFacts $facts): bool
    {
        $told = DB::table('section_announcements')->where('section_id', $section)->lock('for no key update')->first();
        if ($told === null) {
            return false;
        }
        $until = Changes::until(self::read($told->state), ToldSeries::all($facts), $this->clock->seconds());
        if ($until !== null || $told->tell_until !== null) {
            DB::table('section_announcements')
                ->where('section_id', $section)
                ->update(['tell_until' => $until === null ? null : gmdate('Y-m-d H:i:sP', $until)]);
        }

        return true;
    }

    /**
     * Those of sections of which something is left to tell.
     *
     * @param  list<int>  $sections
     * @return list<int>
     */
    public function waiting(array $sections): array
    {
        return array_values(
            DB::table('section_announcements')
                ->whereIntegerInRaw('section_id', $sections)
                ->where('tell_until', '>', gmdate('Y-m-d H:i:sP', $this->clock->seconds()))
                ->orderBy('section_id')
                ->pluck('section_id')
                ->map(fn (mixed $id): int => (int) $id)
                ->all(),
        );
    }

    /** @return array<string, ToldSeries> by uid, of a row's column */
    public static function read(mixed $state): array
    {
        $out = [];
        foreach ((array) json_decode(is_string($state) ? $state : '', true) as $plain) {
            $series = ToldSeries::from((array) $plain);
            $out[$series->uid] = $series;
        }

        return $out;
    }

    /** @return array<string, int|string|null> */
    private function row(int $section, SectionFacts $facts): array
    {
        return [
            'section_id' => $section,
            'state' => json_encode(
                array_map(fn (ToldSeries $s): array => $s->toArray(), array_values(ToldSeries::all($facts))),
                JSON_THROW_ON_ERROR,
            ),
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
            'tell_until' => null,
        ];
    }
}
