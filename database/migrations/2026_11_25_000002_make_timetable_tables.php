<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('series', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->uuid('uid')->unique();
            $t->string('title');
            $t->jsonb('pattern');
            $t->jsonb('ends');
            $t->date('starts_on');
            $t->smallInteger('start_minute');
            $t->smallInteger('minutes');
            $t->string('time_zone');
            // Grows with every change of its times: iCalendar's SEQUENCE.
            $t->integer('sequence')->default(0);
            $t->timestampTz('changed_at');
            // What the import last said of it: the same again leaves alone what was changed on the screen since.
            $t->string('import_print', 64)->nullable();
            $t->timestampsTz();
            $t->unique(['section_id', 'title']);
        });
        Schema::create('sessions', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            // The day of the pattern that made it: what tells a session from the others of its series, whatever happens
            // to its time.
            $t->date('day');
            $t->timestampTz('starts_at');
            $t->timestampTz('ends_at');
            $t->string('state', 12);
            $t->string('reason')->nullable();
            $t->unique(['series_id', 'day']);
            $t->index('starts_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('sessions');
        Schema::dropIfExists('series');
    }
};
