<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\Preset;

/** The usual presets and the school's own, and what a series makes of its preset. */
final class Presets
{
    /** @return array<string, Preset> by key */
    public static function all(): array
    {
        $own = DB::table('presets')->orderBy('name')->get()->mapWithKeys(fn (\stdClass $r): array => [(string) $r->key => new Preset($r->key, $r->name, DoorRules::from((array) json_decode($r->door, true)), Floor::from((array) json_decode($r->floor, true)))])->all();

        return Preset::usual() + $own;
    }

    /** @param  array<string, Preset>  $all */
    public static function of(Series $series, array $all): Preset
    {
        return $all[$series->preset] ?? Preset::usual()['lesson'];
    }

    /**
     * The door and the floor of a series: its preset's, with what was changed for this one.
     *
     * @param  array<string, Preset>  $all
     * @return array{DoorRules, Floor}
     */
    public static function rules(Series $series, array $all): array
    {
        $preset = self::of($series, $all);

        return [
            $series->door === null ? $preset->door : DoorRules::from([...$preset->door->toArray(), ...$series->door]),
            $series->floor === null ? $preset->floor : Floor::from([...$preset->floor->toArray(), ...$series->floor]),
        ];
    }

    /**
     * The door of a series from its plain row.
     *
     * @param  array<string, Preset>  $all
     * @param  string|null  $door  what differs, as JSON
     */
    public static function door(string $preset, ?string $door, array $all): DoorRules
    {
        $of = ($all[$preset] ?? Preset::usual()['lesson'])->door;

        return $door === null ? $of : DoorRules::from([...$of->toArray(), ...(array) json_decode($door, true)]);
    }

    /**
     * In what a series is more open than its preset.
     *
     * @param  array<string, Preset>  $all
     * @return list<string>
     */
    public static function moreOpen(Series $series, array $all): array
    {
        $preset = self::of($series, $all);
        [$door, $floor] = self::rules($series, $all);

        return [...$door->moreOpenThan($preset->door), ...$floor->moreOpenThan($preset->floor)];
    }

    /** @param  list<string>  $moreOpen */
    public static function openness(array $moreOpen): string
    {
        return hash('sha256', implode("\n", $moreOpen));
    }
}
