<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('sessions', function (Blueprint $t): void {
            // What this one's door and floor have that the series' have not; null for most.
            $t->jsonb('door')->nullable();
            $t->jsonb('floor')->nullable();
        });
        DB::statement(
            'create index sessions_with_own_door on sessions (series_id) where door is not null or floor is not null',
        );
        // What is made up is looked for among the few that were not held.
        DB::statement(
            "create index sessions_not_held on sessions (day, series_id) where state in ('lost', 'cancelled')",
        );
        // Rooms without dated sessions: the exception, with hours outside which they are shut.
        Schema::create('drop_in_rooms', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained('sections')->cascadeOnDelete();
            $t->string('uid', 60)->unique();
            $t->string('name', 80);
            $t->jsonb('hours');
            $t->string('preset', 40)->default('office-hours');
            $t->string('secret_sum', 64)->unique();
            $t->text('secret');
            // Sums of links that were replaced: their holders are told so, and nothing else.
            $t->jsonb('retired_sums')->default('[]');
            $t->string('join_code', 10)->unique();
            $t->string('room');
            $t->string('dial_in');
            $t->string('pin');
            $t->boolean('is_hidden')->default(false);
            $t->timestampsTz();
            $t->index('section_id');
        });
        DB::statement('create index drop_in_rooms_retired on drop_in_rooms using gin (retired_sums)');
        Schema::table('people', function (Blueprint $t): void {
            // Since when somebody who need not get letters wants none.
            $t->timestampTz('letters_stopped_at')->nullable();
        });
        // What is told of a series that was deleted belongs to none.
        DB::statement('alter table letters alter column series_id drop not null');
    }

    public function down(): void
    {
        Schema::table('people', fn (Blueprint $t) => $t->dropColumn('letters_stopped_at'));
        Schema::dropIfExists('drop_in_rooms');
        DB::table('letters')->whereNull('series_id')->delete();
        DB::statement('alter table letters alter column series_id set not null');
        DB::statement('drop index sessions_not_held');
        Schema::table('sessions', fn (Blueprint $t) => $t->dropColumn(['door', 'floor']));
    }
};
