<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('runs', function (Blueprint $table): void {
            $table->string('checked_by', 40)->nullable();
            $table->timestampTz('checked_until')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('runs', fn (Blueprint $table) => $table->dropColumn(['checked_by', 'checked_until']));
    }
};
