<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // A file that we hold ourselves: its name on the disk, and the name that whoever brought it gave it.
        DB::unprepared(
            'alter table materials add column file varchar(40) unique, add column file_name varchar(160)',
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table materials drop column file, drop column file_name');
    }
};
