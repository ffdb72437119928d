<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // What ought to stand (wanted_print) beside what stands (standing_print, standing): the difference is the plan.
        Schema::create('placements', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->string('place', 16);
            $t->string('key');
            $t->string('label');
            $t->string('person')->nullable();
            $t->string('wanted_print', 64)->nullable();
            $t->string('standing_print', 64)->nullable();
            $t->jsonb('standing')->nullable();
            $t->string('remote')->nullable();
            $t->string('etag')->nullable();
            $t->text('trouble')->nullable();
            $t->timestampTz('published_at')->nullable();
            $t->timestampsTz();
            $t->unique(['place', 'key']);
            $t->index(['section_id', 'place']);
        });
        Schema::create('runs', function (Blueprint $t): void {
            $t->ulid('id')->primary();
            $t->string('kind', 12);
            $t->foreignId('started_by')->nullable()->constrained('people')->nullOnDelete();
            $t->timestampTz('app_time');
            $t->timestampTz('ended_at')->nullable();
            $t->timestampsTz();
        });
        Schema::create('run_steps', function (Blueprint $t): void {
            $t->id();
            $t->foreignUlid('run_id')->constrained('runs')->cascadeOnDelete();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->string('lane', 16);
            $t->string('key');
            $t->string('label');
            $t->string('verb', 12);
            $t->string('state', 12)->default('waiting');
            $t->smallInteger('tries')->default(0);
            $t->timestampTz('due_at')->nullable();
            $t->text('words')->nullable();
            $t->timestampTz('done_at')->nullable();
            $t->unique(['run_id', 'lane', 'key']);
            $t->index(['run_id', 'state']);
        });
        Schema::create('jobs', function (Blueprint $t): void {
            $t->id();
            $t->string('queue')->index();
            $t->longText('payload');
            $t->unsignedTinyInteger('attempts');
            $t->unsignedInteger('reserved_at')->nullable();
            $t->unsignedInteger('available_at');
            $t->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $t): void {
            $t->id();
            $t->string('uuid')->unique();
            $t->text('connection');
            $t->text('queue');
            $t->longText('payload');
            $t->longText('exception');
            $t->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        foreach (['failed_jobs', 'jobs', 'run_steps', 'runs', 'placements'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
