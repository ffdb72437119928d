<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('series', function (Blueprint $t): void {
            $t->string('preset', 40)->default('lesson');
            // What differs from the preset; null where nothing does.
            $t->jsonb('door')->nullable();
            $t->jsonb('floor')->nullable();
            // How students get in: as the roster does, or by registering.
            $t->jsonb('registering')->nullable();
        });
        Schema::create('presets', function (Blueprint $t): void {
            $t->id();
            $t->string('key', 40)->unique();
            $t->string('name', 60);
            $t->jsonb('door');
            $t->jsonb('floor');
            $t->timestampsTz();
        });
        // Somebody lives with a door or floor that is more open than its preset; what exactly is in the print.
        Schema::create('openness_accepted', function (Blueprint $t): void {
            $t->foreignId('series_id')->primary()->constrained('series')->cascadeOnDelete();
            $t->string('print', 64);
            $t->foreignId('accepted_by')->nullable()->constrained('people')->nullOnDelete();
            $t->timestampTz('at');
        });
        Schema::table('join_links', function (Blueprint $t): void {
            $t->string('guest_name', 120)->nullable();
            $t->string('guest_email', 160)->nullable();
            $t->date('only_day')->nullable();
            $t->timestampTz('expires_at')->nullable();
            $t->string('short_address', 80)->nullable()->unique();
        });
        DB::statement('drop index join_links_in_force');
        DB::statement(
            "create unique index join_links_in_force on join_links (series_id, kind, coalesce(person_id, 0))
                where retired_at is null and kind <> 'guest'",
        );
        Schema::table('registrations', function (Blueprint $t): void {
            $t->date('only_day')->nullable();
            $t->string('typed_name', 160)->nullable();
            $t->string('typed_email', 160)->nullable();
            $t->string('reason', 300)->nullable();
            $t->foreignId('decided_by')->nullable()->constrained('people')->nullOnDelete();
            $t->timestampTz('decided_at')->nullable();
            $t->dropUnique(['series_id', 'person_id']);
            $t->index('state');
        });
        DB::statement(
            "create unique index registrations_once on registrations (series_id, person_id, coalesce(only_day,
                '-infinity'::date))",
        );
        Schema::create('audit_log', function (Blueprint $t): void {
            $t->id();
            $t->timestampTz('at')->index();
            $t->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $t->string('kind', 20)->index();
            $t->unsignedBigInteger('series_id')->nullable()->index();
            $t->unsignedBigInteger('section_id')->nullable();
            $t->string('section', 160)->default('');
            $t->string('words', 400);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('audit_log');
        DB::statement('drop index registrations_once');
        Schema::table('registrations', function (Blueprint $t): void {
            $t->dropColumn(['only_day', 'typed_name', 'typed_email', 'reason', 'decided_by', 'decided_at']);
            $t->unique(['series_id', 'person_id']);
        });
        DB::table('join_links')->where('kind', 'guest')->delete();
        DB::statement('drop index join_links_in_force');
        DB::statement(
            'create unique index join_links_in_force on join_links (series_id, kind, coalesce(person_id, 0))
                where retired_at is null',
        );
        Schema::table(
            'join_links',
            fn (Blueprint $t) => $t->dropColumn([
                'guest_name',
                'guest_email',
                'only_day',
                'expires_at',
                'short_address',
            ]),
        );
        Schema::dropIfExists('openness_accepted');
        Schema::dropIfExists('presets');
        Schema::table('series', fn (Blueprint $t) => $t->dropColumn(['preset', 'door', 'floor', 'registering']));
    }
};
