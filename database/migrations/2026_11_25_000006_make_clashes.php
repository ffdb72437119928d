<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What was found, kept so that boards and counts need not search again; renewed for what a change touches.
        Schema::create('clashes', function (Blueprint $t): void {
            $t->id();
            $t->string('kind', 12);
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->foreignId('other_series_id')->nullable()->constrained('series')->cascadeOnDelete();
            $t->foreignId('other_section_id')->nullable()->constrained('sections')->cascadeOnDelete();
            $t->jsonb('people');
            $t->jsonb('days');
            $t->index('section_id');
            $t->index('other_section_id');
        });
        // Somebody has looked at a clash and lives with it. Keyed by what it is between, so that it outlives the
        // search.
        Schema::create('accepted_clashes', function (Blueprint $t): void {
            $t->id();
            $t->string('key')->unique();
            $t->string('reason');
            $t->foreignId('accepted_by')->nullable()->constrained('people')->nullOnDelete();
            $t->timestampsTz();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('accepted_clashes');
        Schema::dropIfExists('clashes');
    }
};
