<?php

declare(strict_types=1);

namespace Nomada\Core\Account;

use Closure;
use Nomada\Core\Fault;

/**
 * What a password must be, after NIST SP 800-63B (5.1.1.2): long enough, not among the common ones, not made of what
 * anybody knows of the person; nothing about capitals, digits and signs, and no date on which it ends.
 */
final readonly class PasswordRule
{
    public const LEAST = 10;

    public const MOST = 200;

    /** @param  Closure(string): bool  $isCommon  asked in lower case */
    public function __construct(private Closure $isCommon)
    {
    }

    /**
     * @param  list<string>  $known  names, addresses, the school: of no use as a password
     *
     * @throws Fault
     */
    public function check(string $password, array $known = [], string $field = 'password'): void
    {
        $length = mb_strlen($password);
        if ($length < self::LEAST) {
            throw new Fault('password.short', $field, ['n' => self::LEAST]);
        }
        if ($length > self::MOST) {
            throw new Fault('password.long', $field, ['n' => self::MOST]);
        }
        $plain = mb_strtolower($password);
        // "password2027!" is as common as "password".
        $core = (string) preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $plain);
        if (($this->isCommon)($plain) || ($core !== '' && ($this->isCommon)($core))) {
            throw new Fault('password.common', $field);
        }
        if (count(array_unique(mb_str_split($plain))) < 5 || $this->isRun($plain)) {
            throw new Fault('password.repeats', $field);
        }
        foreach ($this->pieces($known) as $piece) {
            $plain = str_replace($piece, '', $plain);
        }
        if (mb_strlen($plain) < self::LEAST / 2) {
            throw new Fault('password.known', $field);
        }
    }

    /** "abcdefghij", "9876543210": each character follows the one before. */
    private function isRun(string $plain): bool
    {
        $steps = [];
        $letters = mb_str_split($plain);
        for ($i = 1; $i < count($letters); $i++) {
            $steps[mb_ord($letters[$i]) - mb_ord($letters[$i - 1])] = true;
        }

        return count($steps) === 1;
    }

    /**
     * @param  list<string>  $known
     * @return list<string> words of at least four letters, the longest first
     */
    private function pieces(array $known): array
    {
        $words = preg_split('/[\s@.,_-]+/u', mb_strtolower(implode(' ', $known)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $words = array_filter($words, fn (string $w): bool => mb_strlen($w) >= 4);
        usort($words, fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));

        return array_values(array_unique($words));
    }
}
