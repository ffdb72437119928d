<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Post\Template;
use Nomada\Core\Post\Wording;

/** Keeps the school's own wording of an email or a published text, or goes back to ours. */
final class KeepTemplate
{
    public function __invoke(Template $template, string $language, ?Person $by = null): void
    {
        DB::table('templates')->upsert(
            [
                [
                    'kind' => $template->kind->code(),
                    'language' => $language,
                    'subject' => $template->subject,
                    'text' => $template->text,
                    'updated_by' => $by?->id,
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
            ],
            ['kind', 'language'],
            ['subject', 'text', 'updated_by', 'updated_at'],
        );
    }

    /** Back to the usual words. */
    public function drop(Wording $kind, string $language): void
    {
        DB::table('templates')->where('kind', $kind->code())->where('language', $language)->delete();
    }
}
