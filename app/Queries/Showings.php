<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\Core\Publishing\PublishingOptions;

/** How items are shown at the destinations: the school's rules, and what a section has of its own. */
final class Showings
{
    public static function ofSchool(): PublishingOptions
    {
        return self::usual()->with(self::own(null));
    }

    /**
     * What a section has of its own, or the school beside what is usual.
     *
     * @return array<string, mixed>|null null where it has nothing
     */
    public static function own(?int $section): ?array
    {
        $rules = DB::table('publishing_options')->where('section_id', $section)->value('rules');

        return is_string($rules) ? (array) json_decode($rules, true) : null;
    }

    /**
     * @param  list<int>  $sections
     * @return array<int, PublishingOptions> by section, of each of them
     */
    public static function of(array $sections): array
    {
        $rows = DB::table('publishing_options')
            ->whereNull('section_id')
            ->orWhereIntegerInRaw('section_id', $sections)
            ->pluck('rules', 'section_id');
        // The school's has no section.
        $plain = fn (int|string $of): ?array => is_string($rows[$of] ?? null)
            ? (array) json_decode($rows[$of], true)
            : null;
        $school = self::usual()->with($plain(''));
        $out = [];
        foreach ($sections as $id) {
            $out[$id] = $school->with($plain($id));
        }

        return $out;
    }

    private static function usual(): PublishingOptions
    {
        return new PublishingOptions(Templates::languages()[0]);
    }
}
