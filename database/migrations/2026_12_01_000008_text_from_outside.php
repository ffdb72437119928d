<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table recordings alter column bridge_id type varchar(200);
                -- How often a mail server has refused it for good.
                alter table letters add column tries smallint not null default 0;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table letters drop column tries');
    }
};
