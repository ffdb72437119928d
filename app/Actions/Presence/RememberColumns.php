<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Clock;

/** Remembers which column of a presence list is what, for the next list with the same headings. */
final readonly class RememberColumns
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  list<string>  $heads  the list's headings
     * @param  array<string, string>  $columns  headings by what they are
     */
    public function __invoke(array $heads, array $columns): void
    {
        DB::table('presence_columns')->upsert(
            ['heads' => self::key($heads), 'columns' => json_encode($columns), 'kept_at' => $this->clock->now()],
            'heads',
        );
    }

    /**
     * @param  list<string>  $heads
     * @return array<string, string>|null null where no list with these headings has been taken
     */
    public static function of(array $heads): ?array
    {
        $kept = DB::table('presence_columns')->where('heads', self::key($heads))->value('columns');

        return $kept === null ? null : array_map(strval(...), (array) json_decode($kept, true));
    }

    /** @param  list<string>  $heads */
    private static function key(array $heads): string
    {
        return hash('sha256', implode("\n", $heads));
    }
}
