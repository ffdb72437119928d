<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\SchoolImport;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/**
 * The terms' dates and the closed days of an import: a change of the calendar like every other, which every series
 * follows and which is undone with the import. What was closed here stays closed; what was
 * opened here stays open; both are told of.
 */
final readonly class ImportCalendar
{
    public function __construct(private ChangeCalendar $change, private Clock $clock)
    {
    }

    /**
     * @param  array<string, int>  $terms  ids by sourcedId
     * @return list<int> sections whose sessions changed
     */
    public function __invoke(SchoolData $data, ImportLog $log, array $terms, SchoolImport $import): array
    {
        $log->count('closures', 'added', 0);
        self::left($data, $log);
        $touched = [];
        foreach ($data->terms as $sourcedId => $term) {
            $model = Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($terms[$sourcedId]);
            $write = function () use ($data, $log, $model, $term): void {
                $this->dates($log, $model, $term);
                if ($data->closures !== null) {
                    $this->write($data, $log, $model, $term);
                }
            };
            if ($log->looks) {
                // What it costs is counted when it is carried out; the lines say which days.
                $write();

                continue;
            }
            $last = (int) TermChange::query()->where('term_id', $model->id)->max('id');
            ($this->change)($model, new Said('history.import_closed'), $import->person, $write);
            TermChange::query()
                ->where('term_id', $model->id)
                ->where('id', '>', $last)
                ->update(['import_id' => $import->id]);
        }

        return $touched;
    }

    /**
     * Another first or last day: every series follows. Where that takes sessions away somebody has to be sure.
     *
     * @param  array{sourced_id: string, title: string, starts_on: string, ends_on: string}  $term
     */
    private function dates(ImportLog $log, Term $model, array $term): void
    {
        $was = [substr((string) $model->starts_on, 0, 10), substr((string) $model->ends_on, 0, 10)];
        $is = [$term['starts_on'], $term['ends_on']];
        if ($was === $is) {
            return;
        }
        $cost =
            ($is[0] > $was[0] ? $this->sessions($model->id, 'planned', $was[0], self::before($is[0])) : 0) +
            ($is[1] < $was[1] ? $this->sessions($model->id, 'planned', self::after($is[1]), $was[1]) : 0);
        $line = new ImportLine(
            'terms',
            'change',
            $term['title'],
            implode(' ', $was),
            implode(' ', $is),
            $cost > 0 ? "term:$term[sourced_id]" : '',
            $cost,
        );
        if ($line->isDangerous() && ! $log->dangerous($line)) {
            return;
        }
        $line->isDangerous() || $log->line($line);
        DB::table('terms')
            ->where('id', $model->id)
            ->update(['starts_on' => $is[0], 'ends_on' => $is[1], 'updated_at' => now()]);
        $log->count('terms', 'changed');
    }

    private static function before(string $day): string
    {
        return LocalDate::parse($day)->plus(-1)->iso();
    }

    private static function after(string $day): string
    {
        return LocalDate::parse($day)->plus(1)->iso();
    }

    /** @param  array{sourced_id: string, title: string, starts_on: string, ends_on: string}  $term */
    private function write(SchoolData $data, ImportLog $log, Term $model, array $term): void
    {
        $known = DB::table('closures')->where('term_id', $model->id)->get()->keyBy('uid');
        $opened = $this->openedHere($model->id);
        foreach ($data->closures ?? [] as $closure) {
            if ($closure['hours'] !== null || ! self::touches($closure, $term)) {
                continue;
            }
            $row = [
                'starts_on' => $closure['first'],
                'ends_on' => $closure['last'],
                'reason' => $closure['reason'],
            ];
            $days = "$closure[first] $closure[last]";
            $old = $known->pull($closure['uid']);
            if ($old === null && in_array($closure['uid'], $opened, true)) {
                $log->line(new ImportLine('closures', 'stays', $closure['reason'], '', $days));
            } elseif ($old === null) {
                DB::table('closures')->insert([
                    ...$row,
                    'term_id' => $model->id,
                    'uid' => $closure['uid'],
                    'created_at' => now(),
                    'updated_at' => now(),
                ]);
                $log->count('closures', 'added');
                $cost = $this->sessions($model->id, 'planned', $closure['first'], $closure['last']);
                $log->line(new ImportLine('closures', 'add', $closure['reason'], '', $days, '', $cost));
            } elseif (array_diff_assoc($row, (array) $old) !== []) {
                DB::table('closures')
                    ->where('id', $old->id)
                    ->update([...$row, 'updated_at' => now()]);
                $log->count('closures', 'changed');
                $log->line(
                    new ImportLine(
                        'closures',
                        'change',
                        $closure['reason'],
                        "$old->starts_on $old->ends_on",
                        $days,
                    ),
                );
            }
        }
        foreach ($data->faults === [] ? $known : [] as $old) {
            $days = "$old->starts_on $old->ends_on";
            if ($old->is_local) {
                $log->line(new ImportLine('closures', 'stays', $old->reason, $days));

                continue;
            }
            $back = $this->sessions($model->id, 'lost', $old->starts_on, $old->ends_on);
            $line = new ImportLine('closures', 'remove', $old->reason, $days, '', "closure:$old->uid", $back);
            if ($log->dangerous($line)) {
                DB::table('closures')->where('id', $old->id)->delete();
                $log->count('closures', 'removed');
            }
        }
    }

    /** How many sessions to come are planned, or lost, on some days. */
    private function sessions(int $term, string $state, string $first, string $last): int
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term)
            ->where('state', $state)
            ->whereBetween('day', [$first, $last])
            ->whereRaw('starts_at > to_timestamp(?)', [$this->clock->seconds()])
            ->count();
    }

    /**
     * @param  array{first: string, last: string}  $closure
     * @param  array{starts_on: string, ends_on: string}  $term
     */
    private static function touches(array $closure, array $term): bool
    {
        return $closure['last'] >= $term['starts_on'] && $closure['first'] <= $term['ends_on'];
    }

    /** What is read and not taken: days of no term, and a few hours, which close no day. */
    private static function left(SchoolData $data, ImportLog $log): void
    {
        foreach ($data->closures ?? [] as $closure) {
            $days = "$closure[first] $closure[last]";
            $isInTerm = array_filter($data->terms, fn (array $t): bool => self::touches($closure, $t)) !== [];
            if (! $isInTerm) {
                $log->line(new ImportLine('closures', 'outside', $closure['reason'], $days));
            } elseif ($closure['hours'] !== null) {
                $log->line(new ImportLine('closures', 'hours', $closure['reason'], $days, $closure['hours']));
            }
        }
    }

    /**
     * The imported closures that somebody has opened here, by their uids: of changes that are not undone.
     *
     * @return list<string>
     */
    private function openedHere(int $term): array
    {
        $out = [];
        $changes = TermChange::query()
            ->where('term_id', $term)
            ->whereNull('undone_at')
            ->whereNull('import_id')
            ->get();
        foreach ($changes as $change) {
            $after = array_column($change->after['closures'] ?? [], 'uid');
            array_push($out, ...array_diff(array_column($change->before['closures'] ?? [], 'uid'), $after));
        }

        return array_values(array_map(strval(...), $out));
    }
}
