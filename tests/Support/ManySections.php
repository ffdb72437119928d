<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A school of many sections, made of one: `X-1` to `X-100`, each with a series of its own that meets as that one's. */
final class ManySections
{
    public static function add(string $like): void
    {
        $of = (array) DB::table('sections')->where('sourced_id', $like)->first();
        $series = (array) DB::table('series')->where('section_id', $of['id'])->first();
        unset($of['id'], $series['id']);
        DB::beginTransaction();
        foreach (range(1, 100) as $n) {
            $id = DB::table('sections')->insertGetId([
                ...$of,
                'sourced_id' => "X-$n",
                'title' => sprintf('Extra %03d', $n),
                'year' => '11',
            ]);
            $own = DB::table('series')->insertGetId([...$series, 'section_id' => $id, 'uid' => Str::uuid()]);
            DB::table('series_sections')->insertOrIgnore(['series_id' => $own, 'section_id' => $id]);
        }
        DB::commit();
    }
}
