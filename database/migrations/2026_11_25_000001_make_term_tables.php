<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('settings', function (Blueprint $t): void {
            $t->string('name')->primary();
            $t->text('value')->nullable();
        });
        Schema::create('schools', function (Blueprint $t): void {
            $t->id();
            $t->string('sourced_id')->unique();
            $t->string('name');
            $t->string('time_zone');
            $t->timestampsTz();
        });
        Schema::create('terms', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('school_id')->constrained()->cascadeOnDelete();
            $t->string('sourced_id')->unique();
            $t->string('title');
            $t->date('starts_on');
            $t->date('ends_on');
            $t->timestampsTz();
        });
        Schema::create('closures', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('term_id')->constrained()->cascadeOnDelete();
            $t->string('uid');
            $t->date('starts_on');
            $t->date('ends_on');
            $t->string('reason');
            $t->timestampsTz();
            $t->unique(['term_id', 'uid']);
        });
        Schema::create('people', function (Blueprint $t): void {
            $t->id();
            $t->string('sourced_id')->unique();
            $t->string('role', 20)->index();
            $t->string('given_name');
            $t->string('family_name');
            $t->string('email')->unique();
            $t->string('year', 10)->default('');
            $t->string('time_zone');
            $t->string('password');
            $t->rememberToken();
            $t->timestampsTz();
        });
        Schema::create('guardianships', function (Blueprint $t): void {
            $t->foreignId('student_id')->constrained('people')->cascadeOnDelete();
            $t->foreignId('guardian_id')->constrained('people')->cascadeOnDelete();
            $t->primary(['student_id', 'guardian_id']);
        });
        Schema::create('courses', function (Blueprint $t): void {
            $t->id();
            $t->string('sourced_id')->unique();
            $t->string('title');
            $t->string('code')->default('');
            $t->timestampsTz();
        });
        Schema::create('sections', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('course_id')->constrained();
            $t->foreignId('term_id')->constrained()->cascadeOnDelete();
            $t->string('sourced_id')->unique();
            $t->string('title');
            $t->string('code')->default('');
            $t->string('year', 10)->default('')->index();
            // The secret address of the section's calendar feed: the sum finds it, the sealed text shows it again.
            $t->string('feed_sum', 64)->nullable()->unique();
            $t->text('feed_secret')->nullable();
            $t->timestampsTz();
        });
        Schema::create('enrolments', function (Blueprint $t): void {
            $t->id();
            $t->foreignId('section_id')->constrained()->cascadeOnDelete();
            $t->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $t->string('sourced_id')->unique();
            $t->string('role', 20);
            $t->boolean('is_primary')->default(false);
            $t->date('begins_on')->nullable();
            $t->date('ends_on')->nullable();
            $t->timestampsTz();
            $t->unique(['section_id', 'person_id', 'role']);
            $t->index(['person_id', 'role']);
        });
    }

    public function down(): void
    {
        foreach (
            [
                'enrolments',
                'sections',
                'courses',
                'guardianships',
                'people',
                'closures',
                'terms',
                'schools',
                'settings',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
