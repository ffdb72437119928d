<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Fault;

/**
 * Sets the contact time that the school owes sections, typed as hours (`36`, `36:30`, `36 h 30`); empty takes it out.
 */
final class SetTarget
{
    /**
     * @param  iterable<Section>  $sections
     *
     * @throws Fault
     */
    public function __invoke(iterable $sections, string $typed): void
    {
        $minutes = $this->minutes(trim($typed));
        $ids = [];
        foreach ($sections as $section) {
            $ids[] = $section->id;
        }
        DB::table('sections')
            ->whereIn('id', $ids)
            ->update(['target_minutes' => $minutes, 'updated_at' => now()]);
    }

    private function minutes(string $typed): ?int
    {
        if ($typed === '') {
            return null;
        }
        if (
            ! preg_match('/^(\d{1,4})(?:\s*(?:h|:)\s*(\d{1,2})?|[.,](\d))?\s*(?:min|h)?$/iD', $typed, $m) ||
            (int) ($m[2] ?? 0) > 59
        ) {
            throw new Fault('target.hours', 'target', ['typed' => $typed]);
        }
        $minutes = 60 * (int) $m[1] + (int) ($m[2] ?? 0) + (isset($m[3]) ? 6 * (int) $m[3] : 0);

        return $minutes > 0 ? $minutes : throw new Fault('target.nothing', 'target');
    }
}
