<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        $this->terms();
        $this->licences();
        $this->series();
        $this->people();
    }

    private function terms(): void
    {
        Schema::table('terms', function (Blueprint $t): void {
            $t->jsonb('rotation')->nullable();
            $t->smallInteger('opens_minute')->default(7 * 60);
            $t->smallInteger('closes_minute')->default(21 * 60);
        });
        Schema::create('day_plans', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('term_id')->constrained()->cascadeOnDelete();
            $t->string('name', 60);
            // The plan of every open day that has no other.
            $t->boolean('is_usual')->default(false);
            $t->jsonb('periods');
            $t->timestampsTz();
            $t->unique(['term_id', 'name']);
        });
        Schema::create('short_days', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('term_id')->constrained()->cascadeOnDelete();
            $t->foreignId('day_plan_id')->constrained()->cascadeOnDelete();
            $t->date('day');
            $t->string('reason');
            $t->timestampsTz();
            $t->unique(['term_id', 'day']);
        });
        Schema::create('opened_days', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('term_id')->constrained()->cascadeOnDelete();
            $t->date('day');
            $t->timestampsTz();
            $t->unique(['term_id', 'day']);
        });
    }

    private function licences(): void
    {
        Schema::create('hosting_plans', function (Blueprint $t): void {
            $t->id();
            $t->string('name', 60)->unique();
            $t->integer('seats');
            $t->smallInteger('minutes');
            $t->smallInteger('at_once')->default(1);
            $t->timestampsTz();
        });
        Schema::create('host_accounts', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('hosting_plan_id')->constrained()->restrictOnDelete();
            $t->string('name', 60)->unique();
            $t->timestampsTz();
        });
    }

    private function series(): void
    {
        Schema::table('series', function (Blueprint $t): void {
            // The plans that held before the present one, each until the next begins: what "this and later" leaves
            // behind.
            $t->jsonb('earlier')->default('[]');
            $t->string('period', 40)->nullable();
            $t->foreignId('host_account_id')->nullable()->constrained()->nullOnDelete();
            $t->jsonb('topics')->default('[]');
            $t->boolean('topics_move')->default(true);
            // The UID of the event that it was read from, where it came from another calendar.
            $t->string('source_uid')->nullable()->index();
        });
        Schema::table('sessions', function (Blueprint $t): void {
            $t->dropUnique(['series_id', 'day']);
            $t->boolean('is_extra')->default(false);
            // The day of the lost or cancelled session that an extra one makes up.
            $t->date('makes_up')->nullable();
            $t->string('topic', 200)->nullable();
            $t->string('title', 120)->nullable();
            $t->string('note', 400)->nullable();
            $t->foreignId('teacher_id')->nullable()->constrained('people')->nullOnDelete();
            $t->foreignId('host_account_id')->nullable()->constrained()->nullOnDelete();
        });
        // One session a date of the pattern; extra ones are beside it.
        DB::statement('create index sessions_of_a_series on sessions (series_id, starts_at)');
        DB::statement(
            'create index sessions_of_another_teacher on sessions (teacher_id) where teacher_id is not null',
        );
        DB::statement(
            'create unique index sessions_slot on sessions (series_id, coalesce(moved_from, day)) where not is_extra',
        );
        Schema::create('series_sections', function (Blueprint $t): void {
            // Every section that meets in a series, its own among them.
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->primary(['section_id', 'series_id']);
            $t->index('series_id');
        });
        DB::statement('insert into series_sections (series_id, section_id) select id, section_id from series');
        Schema::create('series_changes', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->unsignedBigInteger('series_id')->index();
            $t->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $t->timestampTz('at');
            $t->string('words', 300);
            // Rows by table as they were before; null where it cannot be undone.
            $t->jsonb('before')->nullable();
            $t->timestampTz('undone_at')->nullable();
            $t->foreignId('undone_by')->nullable()->constrained('people')->nullOnDelete();
        });
        Schema::create('busy_blocks', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $t->string('uid');
            $t->string('title', 160);
            $t->timestampTz('starts_at');
            $t->timestampTz('ends_at');
            $t->unique(['person_id', 'uid', 'starts_at']);
            $t->index(['person_id', 'starts_at']);
        });
    }

    private function people(): void
    {
        Schema::create('observer_rules', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->string('year', 10)->nullable();
            $t->foreignId('course_id')->nullable()->constrained()->cascadeOnDelete();
            $t->timestampsTz();
            $t->unique(['section_id', 'year', 'course_id']);
        });
        Schema::table('enrolments', function (Blueprint $t): void {
            // Made by a rule and taken away with it; no import touches it.
            $t->foreignId('observer_rule_id')->nullable()->constrained()->cascadeOnDelete();
            $t->boolean('is_local')->default(false);
        });
        Schema::table('people', function (Blueprint $t): void {
            $t->string('feed_sum', 64)->nullable()->unique();
            $t->text('feed_secret')->nullable();
        });
        Schema::table('sections', function (Blueprint $t): void {
            $t->integer('target_minutes')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sections', fn (Blueprint $t) => $t->dropColumn('target_minutes'));
        Schema::table('people', fn (Blueprint $t) => $t->dropColumn(['feed_sum', 'feed_secret']));
        Schema::table('enrolments', fn (Blueprint $t) => $t->dropColumn(['observer_rule_id', 'is_local']));
        foreach (['observer_rules', 'busy_blocks', 'series_changes', 'series_sections'] as $table) {
            Schema::dropIfExists($table);
        }
        DB::statement('drop index sessions_slot');
        DB::statement('drop index sessions_of_a_series');
        DB::table('sessions')->where('is_extra', true)->delete();
        Schema::table(
            'sessions',
            fn (Blueprint $t) => $t->dropColumn([
                'is_extra',
                'makes_up',
                'topic',
                'title',
                'note',
                'teacher_id',
                'host_account_id',
            ]),
        );
        Schema::table(
            'series',
            fn (Blueprint $t) => $t->dropColumn([
                'earlier',
                'period',
                'host_account_id',
                'topics',
                'topics_move',
                'source_uid',
            ]),
        );
        foreach (['host_accounts', 'hosting_plans', 'opened_days', 'short_days', 'day_plans'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('terms', fn (Blueprint $t) => $t->dropColumn(['rotation', 'opens_minute', 'closes_minute']));
    }
};
