<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;

/** Takes the set-up list off the home page, for everybody; its own page stays. */
final class HideSetUp
{
    public function __invoke(): void
    {
        DB::table('settings')->upsert([['name' => 'set_up_hidden', 'value' => '1']], 'name');
    }
}
