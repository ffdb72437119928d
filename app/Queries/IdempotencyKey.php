<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\HtmlString;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\Person;

/**
 * The key that every form is made with: whatever brings the form again, what it asks for is done once. With it goes the
 * term that the form is about, whatever another tab looks at.
 */
final class IdempotencyKey
{
    public const NAME = '_act';

    public static function field(): HtmlString
    {
        $person = auth()->user();
        $term = $person instanceof Person && $person->isStaff() ? app(CurrentTerm::class)->find() : null;

        return new HtmlString(
            '<input type="hidden" name="'.
                self::NAME.
                '" value="'.
                Str::random(22).
                '">'.
                ($term === null ? '' : '<input type="hidden" name="_term" value="'.e($term->sourced_id).'">'),
        );
    }
}
