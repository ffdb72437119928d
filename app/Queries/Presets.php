<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;

/** The usual presets and the school's own, and what a series makes of its preset. */
final class Presets
{
    /** @return array<string, Preset> by key */
    public static function all(): array
    {
        $own = DB::table('presets')
            ->orderBy('name')
            ->get()
            ->mapWithKeys(
                fn (\stdClass $r): array => [
                    (string) $r->key => new Preset(
                        $r->key,
                        $r->name,
                        DoorRules::from((array) json_decode($r->door, true)),
                        Floor::from((array) json_decode($r->floor, true)),
                    ),
                ],
            )
            ->all();

        return Preset::usual() + $own;
    }

    /**
     * Enough of them for one series: the usual ones need no question.
     *
     * @return array<string, Preset>
     */
    public static function known(string $key): array
    {
        return isset(Preset::usual()[$key]) ? Preset::usual() : self::all();
    }

    /** @param  array<string, Preset>  $all */
    public static function of(Series $series, array $all): Preset
    {
        return $all[$series->preset] ?? Preset::usual()['lesson'];
    }

    /**
     * The door and the floor of a series, or of one of its sessions: the preset's, with what was changed for this
     * series, and for this session.
     *
     * @param  array<string, Preset>  $all
     * @return array{DoorRules, Floor}
     */
    public static function rules(Series $series, array $all, ?PlannedSession $session = null): array
    {
        $preset = self::of($series, $all);

        return [
            $preset->door->with($series->door)->with($session?->own?->door),
            $preset->floor->with($series->floor)->with($session?->own?->floor),
        ];
    }

    /**
     * The door of a series, or of one of its sessions, from plain rows.
     *
     * @param  array<string, Preset>  $all
     * @param  string|null  $door  what differs, as JSON
     * @param  string|null  $own  what one session's differs in, as JSON
     */
    public static function door(string $preset, ?string $door, array $all, ?string $own = null): DoorRules
    {
        $plain = fn (?string $json): ?array => $json === null ? null : (array) json_decode($json, true);

        return ($all[$preset] ?? Preset::usual()['lesson'])->door->with($plain($door))->with($plain($own));
    }

    /**
     * The coming sessions that have a door or a floor of their own.
     *
     * @param  mixed  $series  ids, or a query for them
     * @return array<int, list<PlannedSession>> by series
     */
    public static function sessions(mixed $series, int $now): array
    {
        $out = [];
        foreach (
            DB::table('sessions')
                ->whereIn('series_id', $series)
                ->where(fn ($q) => $q->whereNotNull('door')->orWhereNotNull('floor'))
                ->whereRaw('ends_at > to_timestamp(?)', [$now])
                ->orderBy('starts_at')
                ->get([
                    '*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ]) as $row
        ) {
            $out[(int) $row->series_id][] = Session::core((array) $row, (int) $row->s, (int) $row->e);
        }

        return $out;
    }

    /**
     * In what a door and a floor, and those of single sessions, are more open than the preset.
     *
     * @param  list<PlannedSession>  $own  the sessions with a door or floor of their own
     * @return array<string, Said> words by a code, which is what an acceptance holds for
     */
    public static function moreOpen(Preset $preset, DoorRules $door, Floor $floor, array $own): array
    {
        $of = fn (DoorRules $d, Floor $f): array => [
            ...$d->moreOpenThan($preset->door),
            ...$f->moreOpenThan($preset->floor),
        ];
        $out = $of($door, $floor);
        foreach ($own as $session) {
            $day = new LocalDate($session->day);
            $there = $of($door->with($session->own?->door), $floor->with($session->own?->floor));
            foreach (array_diff_key($there, $out) as $code => $more) {
                $out["{$day->iso()} $code"] = new Said('open.on', ['day' => $day, 'more' => $more]);
            }
        }

        return $out;
    }

    /**
     * The same of a series.
     *
     * @param  array<string, Preset>  $all
     * @param  list<PlannedSession>  $own
     * @return array<string, Said>
     */
    public static function moreOpenOf(Series $series, array $all, array $own): array
    {
        return self::moreOpen(self::of($series, $all), ...[...self::rules($series, $all), 'own' => $own]);
    }

    /**
     * What is accepted, by its codes: other words for the same are the same.
     *
     * @param  array<string, Said>  $moreOpen
     */
    public static function openness(array $moreOpen): string
    {
        return hash('sha256', implode("\n", array_keys($moreOpen)));
    }
}
