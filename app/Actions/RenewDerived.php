<?php

declare(strict_types=1);

namespace Nomada\App\Actions;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Term;

/**
 * Computes again what is derived (clashes, and what should be at every place) after the rules have changed, as
 * they do with an upgrade. It goes section by section, and after a stop goes on where it was.
 */
final readonly class RenewDerived
{
    private const SETTING = 'derived_by';

    /** Sections at once. */
    private const AT_ONCE = 40;

    /** Where the rules are. */
    private const RULES = [
        'core/Belonging',
        'core/Joining',
        'core/Language',
        'core/Publishing',
        'core/Term',
        'core/Timetable',
        'app/Queries',
        'lang',
    ];

    public function __construct(private RefreshPlacements $placements, private RefreshClashes $clashes)
    {
    }

    /** Whether the rules are others than those that the derived rows were made by. */
    public static function isDue(): bool
    {
        return (self::kept()['done'] ?? null) !== self::version();
    }

    /** How many sections were computed again. */
    public function __invoke(): int
    {
        $version = self::version();
        $kept = self::kept();
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

    /** @return array<mixed> */
    private static function kept(): array
    {
        return (array) json_decode((string) DB::table('settings')->where('name', self::SETTING)->value('value'), true);
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
