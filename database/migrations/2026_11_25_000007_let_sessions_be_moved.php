<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('sessions', function (Blueprint $t): void {
            // The day of the pattern that a moved session comes from; null where it stands where the pattern put it.
            // `day` is always the day it is held on.
            $t->date('moved_from')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('sessions', fn (Blueprint $t) => $t->dropColumn('moved_from'));
    }
};
