<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Language\Said;

/**
 * A line of a history as its table keeps it: what it says as a code with parameters, for anybody who reads it, and its
 * words in English beside it, which are searched. Older lines have words alone.
 */
final class HistoryLine
{
    /**
     * @param  int  $most  characters that the column of words holds
     * @return array{words: string, said: string}
     */
    public static function columns(Said $said, int $most = 300): array
    {
        return [
            'words' => mb_strimwidth(Say::in('en', $said), 0, $most, '…'),
            'said' => json_encode($said->toArray(), JSON_THROW_ON_ERROR),
        ];
    }

    /** @param  mixed  $said  the column, as text or read already */
    public static function said(string $words, mixed $said): Said
    {
        $plain = is_string($said) ? json_decode($said, true) : $said;

        return is_array($plain) ? Said::from($plain) : new Said('history.words', ['words' => $words]);
    }

    /** In the reader's language. */
    public static function read(string $words, mixed $said): string
    {
        return Say::this(self::said($words, $said));
    }
}
