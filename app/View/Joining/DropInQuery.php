<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Actions\Joining\KeepDropIn;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\Preset;

/** Looks up the drop-in rooms of the sections that somebody looks after, with when each opens next. */
final readonly class DropInQuery
{
    public function __construct(private Clock $clock)
    {
    }

    public function page(Term $term, Person $for): DropInPage
    {
        $presets = Presets::all();
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->servedBy($for)
            ->get(['id', 'sourced_id', 'year', 'title', 'term_id'])
            ->sortBy(fn (Section $s): string => $s->order());
        $rooms = DropInRoom::query()
            ->whereIn('section_id', $sections->modelKeys())
            ->with('section')
            ->get()
            ->sortBy(fn (DropInRoom $r): string => $r->section->order().Order::key($r->name));

        return new DropInPage(
            array_values($rooms->map(fn (DropInRoom $r): DropInRow => $this->row($r, $term, $presets))->all()),
            $sections->mapWithKeys(fn (Section $s): array => [$s->sourced_id => $s->name()])->all(),
            $presets,
            KeepDropIn::uid(),
        );
    }

    /** @param  array<string, Preset>  $presets */
    private function row(DropInRoom $room, Term $term, array $presets): DropInRow
    {
        $now = $this->clock->seconds();
        $zone = $term->calendar()->zone;
        $hours = $room->openHours()->at($term->calendar(), $now);

        return new DropInRow(
            $room->id,
            $room->name,
            $room->section->name(),
            $room->section->sourced_id,
            $room->openHours()->words(),
            $hours === null ? '' : Say::day($zone->dateAt($hours[0])).' '.$zone->clock($hours[0]),
            $hours === null || $hours[0] > $now ? null : $zone->clock($hours[1]),
            $room->is_hidden,
            $presets[$room->preset] ?? $presets['office-hours'],
            $room->address(),
            JoinCode::show($room->join_code),
            (string) $room->dial_in,
            (string) $room->pin,
        );
    }
}
