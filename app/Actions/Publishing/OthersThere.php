<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\Found;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\Place;
use stdClass;

/**
 * What others have added to course pages and class streams: it is named until somebody accepts or removes it.
 * What is in a person's own calendar beside ours is theirs, and nobody's to look at.
 */
final readonly class OthersThere
{
    public function __construct(private Destinations $destinations, private Audit $audit, private Clock $clock)
    {
    }

    /**
     * Writes down what there is besides ours, after a space was read; what is gone there is forgotten.
     *
     * @param  array<string, Found>  $there
     */
    public function note(Place $place, int $section, array $there): void
    {
        if ($place === Place::Calendar) {
            return;
        }
        $known = DB::table('published_items')
            ->where('place', $place)
            ->whereIn('key', array_keys($there))
            ->pluck('key')
            ->all();
        $others = array_diff_key($there, array_flip($known));
        unset($others['']);
        DB::table('foreign_items')
            ->where('place', $place)
            ->where('section_id', $section)
            ->whereNotIn('key', array_keys($others))
            ->delete();
        $rows = [];
        foreach ($others as $key => $found) {
            $title = $this->destinations->at($place)->words($found)['title'] ?? '';
            $rows[] = [
                'section_id' => $section,
                'place' => $place->value,
                'key' => $key,
                'title' => mb_strimwidth(is_string($title) && $title !== '' ? $title : $key, 0, 250, '…'),
                'etag' => $found->etag,
                'found_at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
            ];
        }
        DB::table('foreign_items')->upsert($rows, ['place', 'key'], ['section_id', 'title', 'etag', 'found_at']);
    }

    /** Lets it stand: it is not named any more. */
    public function leave(Section $section, int $id, Person $by): void
    {
        DB::transaction(function () use ($section, $id, $by): void {
            $row = $this->row($section, $id);
            DB::table('foreign_items')
                ->where('id', $row->id)
                ->update(['is_left' => true]);
            ($this->audit)('place', null, $by, new Said('audit.others_left', ['title' => $row->title]), $section);
        });
    }

    /**
     * Removes it there, as long as it is what was looked at.
     *
     * @throws Fault where the place has no way for that
     * @throws DestinationFailure
     */
    public function takeAway(Section $section, int $id, Person $by): void
    {
        $row = $this->row($section, $id);
        if ($row->place !== Place::CoursePage->value) {
            throw new Fault('publishing.added.only_there', 'form');
        }
        $destination = $this->destinations->at(Place::CoursePage);
        $now = $destination->read($section->sourced_id)[$row->key] ?? null;
        if ($now !== null && $now->etag !== $row->etag) {
            throw new Fault('publishing.added.changed', 'form');
        }
        $destination->remove(new Placement(['place' => Place::CoursePage, 'key' => $row->key]));
        DB::transaction(function () use ($section, $row, $by): void {
            DB::table('foreign_items')->where('id', $row->id)->delete();
            ($this->audit)('place', null, $by, new Said('audit.others_gone', ['title' => $row->title]), $section);
        });
    }

    private function row(Section $section, int $id): stdClass
    {
        return DB::table('foreign_items')->where('section_id', $section->id)->where('id', $id)->first() ?? abort(404);
    }
}
