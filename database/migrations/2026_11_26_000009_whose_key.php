<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Nomada\App\Support\KeyFingerprint;

return new class extends Migration {
    public function up(): void
    {
        // What is sealed in this database is sealed with one key: a sum under it says whether the one of now is it.
        DB::unprepared('create table key_marks (sum char(64) primary key)');
        DB::table('key_marks')->insert(['sum' => KeyFingerprint::sum()]);
    }

    public function down(): void
    {
        DB::unprepared('drop table key_marks');
    }
};
