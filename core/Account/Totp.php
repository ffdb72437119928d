<?php

declare(strict_types=1);

namespace Nomada\Core\Account;

/**
 * One-time codes by time (RFC 6238, over HMAC-SHA-1 of RFC 4226, six digits, thirty seconds): what every authenticator
 * reads. Written here because no package for it can be had where this product is built; held against the RFC's own
 * table.
 */
final readonly class Totp
{
    /** Seconds for which one code is good. */
    public const STEP = 30;

    private const DIGITS = 6;

    private const BASE32 = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @param  string  $key  raw bytes */
    public function __construct(private string $key)
    {
    }

    /**
     * A key as it is kept and shown: base32 (RFC 4648).
     *
     * @param  string  $bytes  20 random ones, as RFC 4226 advises
     */
    public static function secret(string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode(
            '',
            array_map(fn (string $five): string => self::BASE32[(int) bindec($five)], str_split($bits, 5)),
        );
    }

    /** @param  string  $secret  base32; blanks and case do not matter */
    public static function of(string $secret): self
    {
        $bits = '';
        foreach (str_split(strtoupper((string) preg_replace('/[\s=]+/', '', $secret))) as $letter) {
            $at = strpos(self::BASE32, $letter);
            $bits .= $at === false ? '' : str_pad(decbin($at), 5, '0', STR_PAD_LEFT);
        }
        $bytes = array_filter(str_split($bits, 8), fn (string $eight): bool => strlen($eight) === 8);

        return new self(implode('', array_map(fn (string $eight): string => chr((int) bindec($eight)), $bytes)));
    }

    public function code(int $at): string
    {
        return $this->codeOf(intdiv($at, self::STEP));
    }

    /**
     * The step that a typed code is of; null where it is of none that counts. The step before and after count too,
     * since clocks differ; one that was used, or lies before it, does not count again.
     *
     * @param  int  $used  the last step that was used; 0 for none
     */
    public function stepOf(string $typed, int $at, int $used = 0): ?int
    {
        $code = (string) preg_replace('/\s+/', '', $typed);
        $now = intdiv($at, self::STEP);
        $found = null;
        foreach ([$now, $now - 1, $now + 1] as $step) {
            // Every step is compared, in a time that does not tell how far it was right.
            if (hash_equals($this->codeOf($step), $code) && $step > $used) {
                $found ??= $step;
            }
        }

        return $found;
    }

    /** What an authenticator reads from the picture: the address of the key. */
    public static function address(string $secret, string $account, string $issuer): string
    {
        return 'otpauth://totp/'.
            rawurlencode($issuer).
            ':'.
            rawurlencode($account).
            '?secret='.
            $secret.
            '&issuer='.
            rawurlencode($issuer);
    }

    private function codeOf(int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', max(0, $step)), $this->key, true);
        $at = ord($hash[19]) & 0xF;
        $number = unpack('N', substr($hash, $at, 4));

        return str_pad(
            (string) ((($number[1] ?? 0) & 0x7FFFFFFF) % 10 ** self::DIGITS),
            self::DIGITS,
            '0',
            STR_PAD_LEFT,
        );
    }
}
