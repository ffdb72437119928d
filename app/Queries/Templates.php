<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;

/** The words of each kind of letter: the school's own, else the usual ones. */
final class Templates
{
    public static function of(LetterKind $kind): Template
    {
        $own = DB::table('letter_templates')
            ->where('kind', $kind->value)
            ->first(['subject', 'text']);

        return $own === null ? $kind->usual() : new Template($kind, $own->subject, $own->text);
    }

    public static function isOwn(LetterKind $kind): bool
    {
        return DB::table('letter_templates')->where('kind', $kind->value)->exists();
    }

    public static function keep(Template $template, ?Person $by = null): void
    {
        DB::table('letter_templates')->upsert(
            [
                [
                    'kind' => $template->kind->value,
                    'subject' => $template->subject,
                    'text' => $template->text,
                    'updated_by' => $by?->id,
                    'created_at' => now(),
                    'updated_at' => now(),
                ],
            ],
            ['kind'],
            ['subject', 'text', 'updated_by', 'updated_at'],
        );
    }

    /** Back to the usual words. */
    public static function drop(LetterKind $kind): void
    {
        DB::table('letter_templates')->where('kind', $kind->value)->delete();
    }
}
