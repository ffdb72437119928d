<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\KeepLicences;
use Nomada\App\Actions\Timetable\SeriesHistory;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\HostAccountRow;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/**
 * Sets the door and the floor of a series: a preset, what differs from it, for the series or one session; hidden or
 * shown, and who lives with what is more open.
 */
final readonly class KeepDoor
{
    public function __construct(
        private Audit $audit,
        private RefreshPlacements $refresh,
        private Clock $clock,
        private KeepLicences $licences,
        private SeriesHistory $history,
    ) {
    }

    /** @throws Fault where there is no such preset */
    public function preset(Series $series, string $key, ?Person $by): void
    {
        $preset = Presets::all()[$key] ?? throw new Fault('preset.none', 'preset');
        DB::transaction(function () use ($series, $preset, $by): void {
            $series->update(['preset' => $preset->key, 'door' => null, 'floor' => null]);
            DB::table('accepted_deviations')->where('series_id', $series->id)->delete();
            ($this->audit)('door', $series, $by, new Said('audit.preset', ['preset' => $preset->name]));
            ($this->refresh)($series->sectionIds());
        });
    }

    /**
     * As it stood before an act on many.
     *
     * @param  array<string, mixed>|null  $door
     * @param  array<string, mixed>|null  $floor
     */
    public function putBack(Series $series, string $preset, ?array $door, ?array $floor, Person $by): void
    {
        DB::transaction(function () use ($series, $preset, $door, $floor, $by): void {
            $series->update(['preset' => $preset, 'door' => $door, 'floor' => $floor]);
            ($this->audit)(
                'door',
                $series,
                $by,
                new Said('audit.preset_back', ['preset' => Presets::of($series, Presets::all())->name]),
            );
            ($this->refresh)($series->sectionIds());
        });
    }

    /** What differs from the preset is kept; what is the same is not, so that a changed preset still reaches it. */
    public function own(Series $series, DoorRules $door, Floor $floor, ?Person $by): void
    {
        DB::transaction(function () use ($series, $door, $floor, $by): void {
            $preset = Presets::of($series, Presets::all());
            $series->update([
                'door' => self::differs($door->toArray(), $preset->door->toArray()),
                'floor' => self::differs($floor->toArray(), $preset->floor->toArray()),
            ]);
            $more = Presets::moreOpenOf($series, Presets::all(), []);
            ($this->audit)(
                'door',
                $series,
                $by,
                $more === []
                    ? new Said('audit.door_as', ['preset' => $preset->name])
                    : new Said('audit.door_more', ['more' => array_values($more)]),
            );
            ($this->refresh)($series->sectionIds());
        });
    }

    /**
     * One session gets a door and a floor of its own; null takes them back, and the series' hold again.
     *
     * @throws Fault where it is over
     */
    public function session(Session $session, ?DoorRules $door, ?Floor $floor, ?Person $by): void
    {
        DB::transaction(function () use ($session, $door, $floor, $by): void {
            $series = Series::query()->with('section')->lock('for no key update')->findOrFail($session->series_id);
            $session = Session::query()->lock('for no key update')->findOrFail($session->id);
            $date = LocalDate::parse($session->day);
            if ((int) $session->ends_at->timestamp <= $this->clock->seconds()) {
                throw new Fault('door.over', 'only', ['date' => $date]);
            }
            [$of, $ofFloor] = Presets::rules($series, Presets::all());
            $before = $this->history->snapshot($series->id);
            $session->update([
                'door' => $door === null ? null : self::differs($door->toArray(), $of->toArray()),
                'floor' => $floor === null ? null : self::differs($floor->toArray(), $ofFloor->toArray()),
            ]);
            $isOwn = $session->door !== null || $session->floor !== null;
            $this->history->record(
                $series,
                $by,
                new Said($isOwn ? 'history.own_door' : 'history.series_door', ['day' => $date]),
                $before,
            );
            $more = array_diff_key(
                Presets::moreOpenOf(
                    $series,
                    Presets::all(),
                    Presets::sessions([$series->id], $this->clock->seconds())[$series->id] ?? [],
                ),
                Presets::moreOpenOf($series, Presets::all(), []),
            );
            ($this->audit)(
                'door',
                $series,
                $by,
                new Said(match (true) {
                    ! $isOwn => 'audit.day_as_series',
                    $more === [] => 'audit.day_own',
                    default => 'audit.day_more',
                }, ['day' => $date, 'more' => array_values($more)]),
            );
            ($this->refresh)($series->sectionIds());
        });
    }

    /**
     * @param  array<string, mixed>  $own
     * @param  array<string, mixed>  $of
     * @return array<string, mixed>|null what differs; null where nothing is there
     */
    private static function differs(array $own, array $of): ?array
    {
        $out = array_filter(
            $own,
            fn (mixed $value, string $name): bool => $value !== ($of[$name] ?? null),
            ARRAY_FILTER_USE_BOTH,
        );

        return $out === [] ? null : $out;
    }

    /** Somebody lives with what is more open than the preset, as it is now. */
    public function accept(Series $series, Person $by): void
    {
        $more = Presets::moreOpenOf(
            $series,
            Presets::all(),
            Presets::sessions([$series->id], $this->clock->seconds())[$series->id] ?? [],
        );
        DB::table('accepted_deviations')->upsert(
            [
                [
                    'series_id' => $series->id,
                    'hash' => Presets::openness($more),
                    'accepted_by' => $by->id,
                    'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
                ],
            ],
            'series_id',
        );
        ($this->audit)('door', $series, $by, new Said(
            $more === [] ? 'audit.accepted_nothing' : 'audit.accepted',
            ['more' => array_values($more)],
        ));
    }

    public function hide(Series $series, bool $hidden, ?Person $by): void
    {
        DB::transaction(function () use ($series, $hidden, $by): void {
            JoinLink::query()
                ->inForce()
                ->where('series_id', $series->id)
                ->where('kind', '!=', 'host')
                ->update(['is_hidden' => $hidden]);
            ($this->audit)('link', $series, $by, new Said($hidden ? 'audit.hidden' : 'audit.shown'));
            ($this->refresh)($series->sectionIds());
        });
    }

    /** As on the licences page; who did it is written down here. */
    public function account(Series $series, ?HostAccountRow $account, ?Person $by): void
    {
        DB::transaction(function () use ($series, $account, $by): void {
            $this->licences->put($series->section->term, $series, $account);
            ($this->audit)(
                'door',
                $series,
                $by,
                $account === null
                    ? new Said('audit.no_account')
                    : new Said('audit.account', ['account' => $account->name]),
            );
        });
    }
}
