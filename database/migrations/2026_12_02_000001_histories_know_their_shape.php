<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Rows in a history are put back by the names of their columns. The number says which names those were, so that a row
 * of an older shape can be brought to today's (SnapshotShape).
 */
return new class extends Migration {
    public function up(): void
    {
        foreach (['series_changes', 'term_changes', 'imports'] as $table) {
            DB::unprepared("alter table $table add column shape smallint not null default 1");
        }
    }
};
