<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('join_links', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $t->foreignId('person_id')->nullable()->constrained('people')->cascadeOnDelete();
            $t->string('kind', 12);
            // The sum finds a link, the sealed text shows it again; neither opens a door without the application's key.
            $t->string('secret_sum', 64)->unique();
            $t->text('secret');
            $t->string('join_code', 10)->nullable()->unique();
            $t->string('room')->nullable();
            $t->string('dial_in')->nullable();
            $t->string('pin')->nullable();
            $t->boolean('is_hidden')->default(false);
            $t->timestampTz('retired_at')->nullable();
            $t->timestampsTz();
        });
        // One link of each kind in force a series, and one personal link a student.
        DB::statement(
            'create unique index join_links_in_force on join_links (series_id, kind, coalesce(person_id, 0))
                where retired_at is null',
        );
        Schema::create('registrations', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $t->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $t->string('state', 12);
            $t->string('came_by', 12);
            $t->timestampsTz();
            $t->unique(['series_id', 'person_id']);
            $t->index('person_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('registrations');
        Schema::dropIfExists('join_links');
    }
};
