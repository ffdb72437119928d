<?php

declare(strict_types=1);

namespace Nomada\App\Actions;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Term;

/**
 * Computes anew what is derived (clashes, and what ought to stand at every place) once the rules that it follows from
 * have changed: after an upgrade, nothing of it is as the new rules say. It goes section by section and goes on where
 * it stopped.
 */
final readonly class RenewDerived
{
    private const SETTING = 'derived_by';

    /** Sections at once. */
    private const AT_ONCE = 40;

    /** Where the rules are. */
    private const RULES = ['core/Publishing', 'core/Timetable', 'core/Joining', 'core/Language', 'app/Queries', 'lang'];

    public function __construct(private RefreshPlacements $placements, private RefreshClashes $clashes)
    {
    }

    /** How many sections were computed anew. */
    public function __invoke(): int
    {
        $version = self::version();
        $kept = (array) json_decode((string) DB::table('settings')->where('name', self::SETTING)->value('value'), true);
        if (($kept['done'] ?? null) === $version) {
            return 0;
        }
        $isGoingOn = ($kept['to'] ?? null) === $version;
        $after = $isGoingOn ? (int) ($kept['after'] ?? 0) : 0;
        if (! $isGoingOn) {
            foreach (Term::query()->with(['school', 'closures'])->orderBy('id')->get() as $term) {
                DB::transaction(fn () => ($this->clashes)($term));
            }
        }
        $n = 0;
        do {
            $ids = DB::table('sections')->where('id', '>', $after)->orderBy('id')->limit(self::AT_ONCE)->pluck('id');
            if ($ids->isNotEmpty()) {
                DB::transaction(function () use ($ids, $version): void {
                    ($this->placements)(array_values(array_map(intval(...), $ids->all())));
                    $this->keep(['to' => $version, 'after' => (int) $ids->last()]);
                });
                $after = (int) $ids->last();
                $n += $ids->count();
            }
        } while ($ids->count() === self::AT_ONCE);
        $this->keep(['done' => $version]);

        return $n;
    }

    /** What the rules are now; another one after they changed. */
    public static function version(): string
    {
        $of = '';
        foreach (self::RULES as $folder) {
            foreach (collect(File::allFiles(base_path($folder)))->sortBy(fn ($f) => $f->getPathname()) as $file) {
                $of .= hash_file('xxh128', $file->getPathname());
            }
        }

        return hash('xxh128', $of);
    }

    /** @param  array<string, string|int>  $value */
    private function keep(array $value): void
    {
        DB::table('settings')->upsert(
            [['name' => self::SETTING, 'value' => json_encode($value, JSON_THROW_ON_ERROR)]],
            'name',
        );
    }
}
