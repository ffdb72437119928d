<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\ViewErrorBag;

/** What was refused and stands nowhere on a page yet: nothing refused is silent, wherever its field may be. */
final class Unsaid
{
    /** Of one refusal, at most; more would be a list of the same. */
    private const MOST = 5;

    /**
     * @param  string  $shown  the page as it is drawn
     * @return list<string>
     */
    public static function of(ViewErrorBag $errors, string $shown): array
    {
        return array_slice(
            array_values(
                array_filter(
                    array_unique($errors->all()),
                    fn (string $words): bool => $words !== '' && ! str_contains($shown, e($words)),
                ),
            ),
            0,
            self::MOST,
        );
    }
}
