<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\ActResult;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostAccountRow;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\RunningSeries;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Timetable\AccountTransferPreview;

/**
 * One act on many series: links made (by a run, which says what comes of each), a preset, hidden or shown, replaced,
 * handed over to another account. What it will do is told first, per series; then it is done, and what came of each is
 * reported. One failure stops nothing else.
 *
 * @phpstan-type Line array{id: int, section: string, name: string, words: string, does: bool}
 */
final readonly class BulkAct
{
    public const ACTS = ['links', 'preset', 'hide', 'show', 'replace', 'account'];

    public function __construct(private KeepDoor $door, private ReplaceLink $replace, private Clock $clock)
    {
    }

    /**
     * What it will do.
     *
     * @param  iterable<Series>  $chosen
     * @return list<Line>
     *
     * @throws Fault where the act or its value is none
     */
    public function plan(string $act, string $value, iterable $chosen): array
    {
        $this->check($act, $value);
        $all = Presets::all();
        $out = [];
        $chosen = Collection::make($chosen);
        // Hundreds may be chosen: their links are counted in one question.
        $links = JoinLink::query()
            ->inForce()
            ->whereIn('series_id', $chosen->pluck('id'))
            ->groupBy('series_id')
            ->toBase()
            ->selectRaw(
                "series_id, count(*) filter (where kind <> 'guest') as n, coalesce(bool_or(is_hidden) filter (where ".
                    "kind <> 'host'), false) as hidden",
            )
            ->get()
            ->keyBy('series_id');
        $account =
            $act === 'account'
                ? HostAccountRow::query()->find((int) $value)->name ?? Say::this(new Said('bulk.no_account'))
                : '';
        $handing = $act === 'account' ? $this->handing((int) $value, $chosen) : [];
        foreach ($chosen as $series) {
            $n = (int) ($links[$series->id]->n ?? 0);
            $hidden = (bool) ($links[$series->id]->hidden ?? false);
            [$does, $code] = match ($act) {
                'links' => $n > 0 ? [false, 'has_link'] : [true, 'links'],
                'preset' => $series->preset === $value && $series->door === null && $series->floor === null
                    ? [false, 'so']
                    : [true, $series->door === null && $series->floor === null ? 'preset' : 'preset_own'],
                'hide' => $n === 0 ? [false, 'no_link'] : ($hidden ? [false, 'hidden'] : [true, 'hide']),
                'show' => $n === 0 ? [false, 'no_link'] : ($hidden ? [true, 'show'] : [false, 'shown']),
                'replace' => $n === 0 ? [false, 'no_link'] : [true, 'replace'],
                default => (string) $series->host_account_id === $value ? [false, 'there'] : [true, 'account'],
            };
            $said = [
                new Said("bulk.$code", [
                    'n' => $n,
                    'from' => $act === 'preset' ? Presets::of($series, $all)->name : '',
                    'to' => $act === 'preset' ? $all[$value]->name : $account,
                ]),
                ...$code === 'account' ? $handing[$series->id] ?? [] : [],
            ];
            $out[] = [
                'id' => $series->id,
                'section' => $series->section->sourced_id,
                'name' => $this->name($series),
                'words' => Say::this($said),
                'does' => $does,
            ];
        }

        return $out;
    }

    /**
     * What would clash on the account, beforehand: by series, as what follows "goes to Host 2".
     *
     * @param  Collection<int, Series>  $chosen
     * @return array<int, list<Said>>
     */
    private function handing(int $account, Collection $chosen): array
    {
        $to = HostAccounts::all()[$account] ?? null;
        $term = Term::query()->find($chosen->first()?->section->term_id);
        if ($to === null || $term === null) {
            return [];
        }
        $found = AccountTransferPreview::to(
            $to,
            RunningSeries::of($term),
            array_map(intval(...), $chosen->pluck('id')->all()),
        );
        $others = array_merge(...array_column($found, 'with'));
        $names = Series::query()
            ->with('section')
            ->findMany(array_unique($others))
            ->mapWithKeys(fn (Series $s): array => [$s->id => $this->name($s)]);

        return array_map(function (array $one) use ($names): array {
            $with = array_map(fn (int $id): string => (string) ($names[$id] ?? ''), array_slice($one['with'], 0, 2));
            $more = count($one['with']) - count($with);
            $out =
                $one['sessions'] === 0
                    ? []
                    : [
                        new Said($more > 0 ? 'bulk.clash_and_more' : 'bulk.clash', [
                            'n' => $one['sessions'],
                            'with' => $with,
                            'more' => $more,
                        ]),
                    ];

            return $one['fits'] ? $out : [...$out, new Said('bulk.too_small')];
        }, $found);
    }

    /**
     * Does it, and keeps what came of each series.
     *
     * @param  iterable<Series>  $chosen
     *
     * @throws Fault
     */
    public function carryOut(string $act, string $value, iterable $chosen, Person $by): ActResult
    {
        $lines = [];
        foreach ($this->plan($act, $value, $chosen) as $line) {
            if (! $line['does']) {
                $lines[] = $line + ['was' => null];

                continue;
            }
            try {
                $lines[] = DB::transaction(function () use ($act, $value, $line, $by): array {
                    $series = $this->locked($line['id']);
                    $was = $this->was($act, $series);
                    $this->do($act, $value, $series, $by);

                    return [
                        'words' => Say::this(new Said('bulk.done', ['what' => $line['words']])),
                        'was' => $was,
                    ] + $line;
                });
            } catch (Fault $e) {
                $lines[] = ['words' => FaultWords::of($e), 'does' => false, 'was' => null] + $line;
            }
        }

        return ActResult::query()->create([
            'person_id' => $by->id,
            'act' => $act,
            'value' => $value,
            'lines' => $lines,
            'at' => $this->clock->now(),
        ]);
    }

    /**
     * Takes an act on many back, where nothing has changed since: a series that was changed again is left alone.
     *
     * @return array{int, int} how many were taken back, and how many left
     *
     * @throws Fault where it is taken back already, or cannot be
     */
    public function undo(ActResult $result, Person $by): array
    {
        return DB::transaction(function () use ($result, $by): array {
            $result = ActResult::query()->lock('for no key update')->findOrFail($result->id);
            if ($result->undone_at !== null || ! self::canUndo($result->act)) {
                throw new Fault('bulk.back', 'act');
            }
            $n = $left = 0;
            foreach ($result->lines as $line) {
                if (! $line['does'] || $line['was'] === null) {
                    continue;
                }
                $series = Series::query()->find($line['id']) === null ? null : $this->locked($line['id']);
                if ($series === null || ! $this->stands($result, $series)) {
                    $left++;

                    continue;
                }
                $this->putBack($result->act, $series, $line['was'], $by);
                $n++;
            }
            $result->update(['undone_at' => $this->clock->now(), 'undone_by' => $by->id]);

            return [$n, $left];
        });
    }

    /** A replaced link is dead for good, and a made one is taken away where it is made. */
    public static function canUndo(string $act): bool
    {
        return in_array($act, ['preset', 'hide', 'show', 'account'], true);
    }

    private function locked(int $id): Series
    {
        return Series::query()
            ->with(['section.term.school', 'section.term.closures'])
            ->lock('for no key update')
            ->findOrFail($id);
    }

    private function do(string $act, string $value, Series $series, Person $by): void
    {
        match ($act) {
            'preset' => $this->door->preset($series, $value, $by),
            'hide' => $this->door->hide($series, true, $by),
            'show' => $this->door->hide($series, false, $by),
            'replace' => $this->replace->all($series, $by),
            default => $this->door->account($series, HostAccountRow::query()->find((int) $value), $by),
        };
    }

    /** @return array<string, mixed> what an act changes, as it is */
    private function was(string $act, Series $series): array
    {
        return match ($act) {
            'preset' => ['preset' => $series->preset, 'door' => $series->door, 'floor' => $series->floor],
            'account' => ['account' => $series->host_account_id],
            default => [],
        };
    }

    /** Whether a series still is as the act left it. */
    private function stands(ActResult $result, Series $series): bool
    {
        return match ($result->act) {
            'preset' => $series->preset === $result->value && $series->door === null && $series->floor === null,
            'account' => (string) $series->host_account_id === $result->value,
            default => JoinLink::query()
                ->inForce()
                ->where('series_id', $series->id)
                ->where('kind', '!=', 'host')
                ->where('is_hidden', $result->act !== 'hide')
                ->doesntExist(),
        };
    }

    /** @param  array<string, mixed>  $was */
    private function putBack(string $act, Series $series, array $was, Person $by): void
    {
        match ($act) {
            'preset' => $this->door->putBack($series, (string) $was['preset'], $was['door'], $was['floor'], $by),
            'account' => $this->door->account(
                $series,
                HostAccountRow::query()->find((int) ($was['account'] ?? 0)),
                $by,
            ),
            default => $this->door->hide($series, $act !== 'hide', $by),
        };
    }

    private function check(string $act, string $value): void
    {
        if (! in_array($act, self::ACTS, true)) {
            throw new Fault('bulk.what', 'act');
        }
        if ($act === 'preset' && ! isset(Presets::all()[$value])) {
            throw new Fault('preset.none', 'preset');
        }
    }

    private function name(Series $series): string
    {
        return $series->section->name().($series->title === $series->section->title ? '' : ": $series->title");
    }
}
