<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Nomada\App\Support\KeyFingerprint;

/**
 * The database of version 0.1.0. It is in database/schema, a file a room, as it was then: whatever changes from
 * here on is a migration of its own that keeps what is there.
 */
return new class extends Migration {
    private const ROOMS = [
        'school',
        'account',
        'timetable',
        'joining',
        'registration',
        'publishing',
        'presence',
        'recording',
        'framework',
        'rules',
    ];

    public function up(): void
    {
        if (Schema::hasTable('people')) {
            throw new RuntimeException(
                'This database was made before version 0.1.0, and there is no way over. Stop it with bin/db-stop, '
                    .'move the folder var/pg away, and start again.',
            );
        }
        DB::unprepared('create extension if not exists btree_gist');
        // How people sort names: without regard to case and accents first, and "Y10" after "Y9".
        DB::unprepared("create collation if not exists by_name (provider = icu, locale = 'und-u-kn-true')");
        DB::unprepared('create sequence if not exists write_version');
        foreach (self::ROOMS as $room) {
            DB::unprepared((string) file_get_contents(database_path("schema/$room.sql")));
        }
        // What is sealed in this database is sealed with one key; this tells whether a later key is the same.
        DB::table('key_fingerprints')->insert(['hash' => KeyFingerprint::sum()]);
    }
};
