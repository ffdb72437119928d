<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Fault;

/** Where a service is and how it is spoken to. Without a user's name the password is a bearer token (RFC 6750). */
final readonly class PlaceSettings
{
    public const SLOWEST = 0.1;

    public const FASTEST = 1000.0;

    /**
     * @param  string  $url  without a slash at its end; may hold `{address}` or `{sourcedId}` for a person's calendar
     * @param  float|null  $pace  requests a second at most; null where the service itself says, or takes any
     * @param  float  $timeout  seconds for one answer
     */
    public function __construct(
        public Outside $service,
        public PlaceKind $kind,
        public string $url = '',
        public string $user = '',
        public string $password = '',
        public ?float $pace = null,
        public float $timeout = 8,
    ) {
    }

    /**
     * As somebody has typed them.
     *
     * @throws Fault that names the field
     */
    public static function typed(
        Outside $service,
        string $kind,
        string $url,
        string $user,
        string $password,
        string $pace,
        string $timeout,
    ): self {
        $is = PlaceKind::tryFrom($kind);
        if ($is === null || ! in_array($is, $service->kinds(), true)) {
            $known = implode(', ', array_map(fn (PlaceKind $k): string => $k->value, $service->kinds()));

            throw new Fault("Choose one of: $known.", 'kind');
        }
        $url = rtrim(trim($url), '/');
        if ($is->isAsked() && $is !== PlaceKind::StandIn) {
            self::checkAddress($is, $url);
        }
        foreach (['pace' => $pace, 'timeout' => $timeout] as $field => $value) {
            if ($value !== '' && ! is_numeric($value)) {
                throw new Fault('A number was expected, like 8.', $field);
            }
        }
        if ($pace !== '' && ((float) $pace < self::SLOWEST || (float) $pace > self::FASTEST)) {
            throw new Fault('Between 0.1 and 1000 requests a second.', 'pace');
        }
        if ($timeout !== '' && ((float) $timeout < 1 || (float) $timeout > 60)) {
            throw new Fault('Between 1 and 60 seconds.', 'timeout');
        }

        return new self(
            $service,
            $is,
            $url,
            trim($user),
            $password,
            $pace === '' ? null : (float) $pace,
            $timeout === '' ? 8.0 : (float) $timeout,
        );
    }

    /** @throws Fault */
    private static function checkAddress(PlaceKind $kind, string $url): void
    {
        $plain = str_replace(['{address}', '{sourcedId}'], 'x', $url);
        $parts = parse_url($plain);
        if (
            ! is_array($parts) ||
            ! in_array($parts['scheme'] ?? '', $kind->schemes(), true) ||
            ($parts['host'] ?? '') === '' ||
            isset($parts['user'])
        ) {
            $like = $kind->schemes()[0];

            throw new Fault(
                "An address like $like://school.example was expected, without a name or password in it.",
                'url',
            );
        }
        if ($plain !== $url && $kind !== PlaceKind::CalDav) {
            throw new Fault('Only a calendar server\'s address may hold {address} or {sourcedId}.', 'url');
        }
        if (preg_match('/[{}]/', $plain) === 1) {
            throw new Fault('Only {address} and {sourcedId} are known in braces.', 'url');
        }
    }

    /** Whether another setting leads to another server: what stood at the old one does not stand there. */
    public function isElsewhere(self $other): bool
    {
        return [$this->kind, $this->url, $this->user] !== [$other->kind, $other->url, $other->user];
    }

    /** Whether each person's collection is named by the address itself. */
    public function isTemplate(): bool
    {
        return str_contains($this->url, '{');
    }
}
