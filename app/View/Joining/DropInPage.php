<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\Core\Joining\JoinCode;

/**
 * The drop-in rooms of the sections that somebody looks after, with when each opens next.
 *
 * @phpstan-type Row array{id: int, name: string, section: string, sectionId: string, hours: string, next: string,
 *   isOpen: bool, isHidden: bool, preset: string, presetKey: string, sentence: string, link: string, code: string,
 *   phone: string}
 */
final readonly class DropInPage
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @return array{rows: list<Row>, sections: array<string, string>, presets: array<string,
     *   \Nomada\Core\Joining\Preset>}
     */
    public function data(Term $term, Person $for): array
    {
        $presets = Presets::all();
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->servedBy($for)
            ->get(['id', 'sourced_id', 'year', 'title', 'term_id'])
            ->sortBy(fn (Section $s): string => $s->order());
        $rows = DropInRoom::query()
            ->whereIn('section_id', $sections->modelKeys())
            ->with('section')
            ->get()
            ->sortBy(fn (DropInRoom $r): string => $r->section->order().$r->name)
            ->map(fn (DropInRoom $r): array => $this->row($r, $term, $presets));

        return [
            'rows' => array_values($rows->all()),
            'sections' => $sections->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])->all(),
            'presets' => $presets,
        ];
    }

    /**
     * @param  array<string, \Nomada\Core\Joining\Preset>  $presets
     * @return Row
     */
    private function row(DropInRoom $room, Term $term, array $presets): array
    {
        $now = $this->clock->seconds();
        $zone = $term->calendar()->zone;
        $hours = $room->openHours()->at($term->calendar(), $now);
        $preset = $presets[$room->preset] ?? $presets['office-hours'];
        $isOpen = $hours !== null && $hours[0] <= $now;

        return [
            'id' => $room->id,
            'name' => $room->name,
            'section' => $room->section->name(),
            'sectionId' => $room->section->sourced_id,
            'hours' => $room->openHours()->words(),
            'next' => $hours === null
                    ? 'no hours left this term'
                    : ($isOpen
                        ? 'open until '.$zone->clock($hours[1])
                        : $zone->dateAt($hours[0])->short().' '.$zone->clock($hours[0])),
            'isOpen' => $isOpen,
            'isHidden' => $room->is_hidden,
            'preset' => $preset->name,
            'presetKey' => $preset->key,
            'sentence' => $preset->sentence(),
            'link' => $room->address(),
            'code' => JoinCode::show($room->join_code),
            'phone' => "$room->dial_in, PIN $room->pin",
        ];
    }
}
