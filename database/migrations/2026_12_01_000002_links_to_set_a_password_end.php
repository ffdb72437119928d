<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- The email address that a link went to: it ends when the person's becomes another one.
                alter table account_passes add column sent_to varchar(255);
                update account_passes set sent_to = p.email from people p where p.id = person_id;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table account_passes drop column sent_to');
    }
};
