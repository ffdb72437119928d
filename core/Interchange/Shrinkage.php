<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** Whether a file has shrunk so much that it is more likely a mistake than a wish: it is empty, or a tenth is gone. */
final class Shrinkage
{
    /** One in so many may go without a question; of a few, one may always. */
    private const ONE_IN = 10;

    private const FEW = 1;

    /**
     * @param  int  $known  how many there were
     * @param  int  $removed  how many of them the file no longer has
     */
    public static function isOne(int $known, int $removed): bool
    {
        return $removed > self::FEW && $removed * self::ONE_IN > $known || $removed > 0 && $removed === $known;
    }
}
