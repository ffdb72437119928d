<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Secrets;

return new class extends Migration {
    public function up(): void
    {
        // Codes and PINs are sealed as links are, and found by a sum; so is what stands at a destination.
        DB::unprepared(
            'alter table join_links alter column join_code type text, alter column pin type text,
                add column code_sum char(64);
            alter table join_links drop constraint join_links_join_code_unique;
            create unique index join_links_code on join_links (code_sum);
            alter table drop_in_rooms alter column join_code type text, alter column pin type text,
                add column code_sum char(64);
            alter table drop_in_rooms drop constraint drop_in_rooms_join_code_unique;
            create unique index drop_in_rooms_code on drop_in_rooms (code_sum);
            alter table placements alter column standing type text using standing::text',
        );
        foreach (['join_links', 'drop_in_rooms'] as $table) {
            foreach (
                DB::table($table)
                    ->whereNotNull('join_code')
                    ->get(['id', 'join_code', 'pin']) as $row
            ) {
                DB::table($table)
                    ->where('id', $row->id)
                    ->update([
                        'code_sum' => Secrets::sum($row->join_code, 'code'),
                        'join_code' => Crypt::encryptString($row->join_code),
                        'pin' => $row->pin === null ? null : Crypt::encryptString($row->pin),
                    ]);
            }
        }
        DB::table('placements')
            ->whereNotNull('standing')
            ->orderBy('id')
            ->select(['id', 'standing'])
            ->chunkById(500, function ($rows): void {
                foreach ($rows as $row) {
                    DB::table('placements')
                        ->where('id', $row->id)
                        ->update(['standing' => Crypt::encryptString($row->standing)]);
                }
            });
        // What a history kept of links as they were would still say their codes.
        foreach (
            DB::table('series_changes')
                ->whereRaw("before->'join_links' is not null")
                ->get(['id', 'before']) as $row
        ) {
            $before = (array) json_decode($row->before, true);
            foreach ((array) ($before['join_links'] ?? []) as $i => $link) {
                foreach (['join_code', 'pin'] as $field) {
                    if (is_string($link[$field] ?? null) && strlen($link[$field]) < 60) {
                        if ($field === 'join_code') {
                            $before['join_links'][$i]['code_sum'] = Secrets::sum($link[$field], 'code');
                        }
                        $before['join_links'][$i][$field] = Crypt::encryptString($link[$field]);
                    }
                }
            }
            DB::table('series_changes')
                ->where('id', $row->id)
                ->update(['before' => json_encode($before)]);
        }
    }

    public function down(): void
    {
        foreach (['join_links', 'drop_in_rooms'] as $table) {
            foreach (
                DB::table($table)
                    ->whereNotNull('join_code')
                    ->get(['id', 'join_code', 'pin']) as $row
            ) {
                DB::table($table)
                    ->where('id', $row->id)
                    ->update([
                        'join_code' => Crypt::decryptString($row->join_code),
                        'pin' => $row->pin === null ? null : Crypt::decryptString($row->pin),
                    ]);
            }
        }
        DB::table('placements')->update(['standing' => null, 'standing_print' => null]);
        DB::unprepared(
            'alter table placements alter column standing type jsonb using standing::jsonb;
            alter table join_links drop column code_sum, alter column join_code type varchar(10);
            alter table join_links add constraint join_links_join_code_unique unique (join_code);
            alter table drop_in_rooms drop column code_sum, alter column join_code type varchar(10);
            alter table drop_in_rooms add constraint drop_in_rooms_join_code_unique unique (join_code)',
        );
    }
};
