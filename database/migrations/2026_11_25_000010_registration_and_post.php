<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('registrations', function (Blueprint $t): void {
            // When it came into the queue; the waiting list goes by it.
            $t->timestampTz('arrived_at')->nullable();
            // How it stood before the last decision, for as long as that can be undone.
            $t->jsonb('before')->nullable();
        });
        // What is to be written to people. The key says what it is about, so that nobody gets the same letter twice.
        Schema::create('letters', function (Blueprint $t): void {
            $t->id();
            $t->string('key', 120)->unique();
            $t->string('kind', 20);
            $t->foreignId('person_id')->nullable()->constrained('people')->cascadeOnDelete();
            $t->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $t->unsignedBigInteger('registration_id')->nullable()->index();
            $t->string('to_name', 160);
            $t->string('to_address', 160);
            $t->jsonb('values')->default('{}');
            // Until then the decision behind it can be undone.
            $t->timestampTz('not_before');
            $t->timestampTz('sent_at')->nullable();
            $t->string('trouble', 300)->nullable();
            $t->timestampsTz();
        });
        DB::statement('create index letters_to_send on letters (not_before) where sent_at is null');
        Schema::create('letter_templates', function (Blueprint $t): void {
            $t->string('kind', 20)->primary();
            $t->string('subject', 200);
            $t->text('text');
            $t->timestampsTz();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('letter_templates');
        Schema::dropIfExists('letters');
        Schema::table('registrations', fn (Blueprint $t) => $t->dropColumn(['arrived_at', 'before']));
    }
};
