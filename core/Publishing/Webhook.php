<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Fault;

/**
 * Messages to another program, signed and tried again as the open specification Standard Webhooks says: three headers,
 * HMAC-SHA256 over "id.timestamp.body", and a schedule of tries that ends after some three days.
 */
final class Webhook
{
    /** Seconds until the next try, by the number of tries that have failed. */
    private const AGAIN = [5, 300, 1800, 7200, 18000, 36000, 50400, 72000, 86400];

    /** How a secret begins, so that it is recognised where it was put by mistake. */
    private const PREFIX = 'whsec_';

    public static function secret(string $bytes): string
    {
        return self::PREFIX.base64_encode($bytes);
    }

    /**
     * @param  string  $id  the same for every try of one message
     * @param  int  $at  UTC seconds of this try
     * @return array<string, string>
     */
    public static function headers(string $secret, string $id, int $at, string $body): array
    {
        $key = (string) base64_decode(substr($secret, strlen(self::PREFIX)));
        $signature = base64_encode(hash_hmac('sha256', "$id.$at.$body", $key, true));

        return ['webhook-id' => $id, 'webhook-timestamp' => (string) $at, 'webhook-signature' => "v1,$signature"];
    }

    /**
     * @param  int  $tries  that have failed, from 1 on
     * @return int|null seconds; null where it is given up
     */
    public static function again(int $tries): ?int
    {
        return self::AGAIN[$tries - 1] ?? null;
    }

    /**
     * An address as it is typed: encrypted, or on this machine.
     *
     * @throws Fault
     */
    public static function address(string $typed): string
    {
        $address = trim($typed);
        $parts = parse_url($address);
        $host = is_array($parts) ? (string) ($parts['host'] ?? '') : '';
        $scheme = is_array($parts) ? strtolower((string) ($parts['scheme'] ?? '')) : '';
        $isHere = in_array($host, ['localhost', '127.0.0.1', '[::1]'], true);
        if ($host === '' || ! ($scheme === 'https' || ($scheme === 'http' && $isHere)) || isset($parts['user'])) {
            throw new Fault('webhook.address', 'address');
        }
        if (strlen($address) > 500) {
            throw new Fault('webhook.long', 'address');
        }

        return $address;
    }
}
