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
        public ExternalService $service,
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
        ExternalService $service,
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

            throw new Fault('place.kind', 'kind', ['known' => $known]);
        }
        $url = rtrim(trim($url), '/');
        if ($is->isAsked() && $is !== PlaceKind::StandIn) {
            self::checkAddress($is, $url);
        }
        foreach (['pace' => $pace, 'timeout' => $timeout] as $field => $value) {
            if ($value !== '' && ! is_numeric($value)) {
                throw new Fault('place.number', $field);
            }
        }
        if ($pace !== '' && ((float) $pace < self::SLOWEST || (float) $pace > self::FASTEST)) {
            throw new Fault('place.pace', 'pace');
        }
        if ($timeout !== '' && ((float) $timeout < 1 || (float) $timeout > 60)) {
            throw new Fault('place.timeout', 'timeout');
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

            throw new Fault('place.url', 'url', ['like' => $like]);
        }
        if ($plain !== $url && $kind === PlaceKind::CalDavInvites) {
            throw new Fault('place.braces_invites', 'url');
        }
        if ($plain !== $url && $kind !== PlaceKind::CalDav) {
            throw new Fault('place.braces_calendar', 'url');
        }
        if (preg_match('/[{}]/', $plain) === 1) {
            throw new Fault('place.braces', 'url');
        }
    }

    /** Whether another setting leads to another server: what was at the old one is not there. */
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
