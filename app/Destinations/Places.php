<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;
use RuntimeException;
use stdClass;

/** Where each service is: what the page Places says, else the environment, else our stand-in. */
final class Places
{
    /** @var array<string, stdClass>|null rows of the table by service; read once a request, and once a job */
    private ?array $rows = null;

    public function of(ExternalService $service): PlaceSettings
    {
        $row = $this->rows()[$service->value] ?? null;
        $settings = $row === null ? $this->fromEnvironment($service) : self::fromRow($service, $row);
        if ($settings->kind !== PlaceKind::StandIn) {
            return $settings;
        }

        return new PlaceSettings(
            $service,
            PlaceKind::StandIn,
            config('nomada.standins.url').
                "/$service->value".
                ($service === ExternalService::Calendar ? '/people/{sourcedId}' : ''),
            '',
            (string) config('nomada.standins.token'),
            $settings->pace,
            $row === null ? (float) config('nomada.standins.timeout') : $settings->timeout,
        );
    }

    /** @return list<string> destinations that are pages or feeds of ours, by their codes */
    public function ofOurs(): array
    {
        $ours = array_filter(
            Place::cases(),
            fn (Place $p): bool => $this->of(ExternalService::of($p))->kind === PlaceKind::OurPage,
        );

        return array_values(array_map(fn (Place $p): string => $p->value, $ours));
    }

    /** Whether the calendar server invites (RFC 6638), so that nobody else has to. */
    public function invites(): bool
    {
        return $this->of(ExternalService::Calendar)->kind === PlaceKind::CalDavInvites;
    }

    /** Where the door leads to: the origins of the conference bridge, or of every known room, separated by spaces. */
    public function bridges(): string
    {
        try {
            $bridge = $this->of(ExternalService::Bridge);
            $addresses =
                $bridge->kind === PlaceKind::KnownRooms
                    ? DB::table('known_rooms')
                        ->pluck('address')
                        ->map(fn (string $a): string => Crypt::decryptString($a))
                        ->all()
                    : [$bridge->url];
        } catch (QueryException) {
            // Without a database there is a page that says so, and no door.
            return '';
        }
        $origins = array_map(
            fn (string $a): string => preg_match('~^https?://[^/]+~', $a, $m) === 1 ? $m[0] : '',
            $addresses,
        );

        return implode(' ', array_unique(array_filter($origins)));
    }

    /** Whether the page says it, and not the environment. */
    public function isKept(ExternalService $service): bool
    {
        return isset($this->rows()[$service->value]);
    }

    /** After somebody has changed a place. */
    public function forget(): void
    {
        $this->rows = null;
    }

    /** @throws RuntimeException that names the setting, where it cannot be used */
    private function fromEnvironment(ExternalService $service): PlaceSettings
    {
        $set = (array) config("places.$service->value");

        try {
            return PlaceSettings::typed(
                $service,
                (string) $set['kind'],
                (string) $set['url'],
                (string) $set['user'],
                (string) $set['password'],
                (string) $set['pace'],
                (string) $set['timeout'],
            );
        } catch (Fault $e) {
            // Nobody's form is wrong, and sending them back to it would never end.
            $setting = strtoupper("{$service->value}_$e->field");

            throw new RuntimeException("The setting $setting cannot be used. ".FaultWords::of($e), 0, $e);
        }
    }

    private static function fromRow(ExternalService $service, stdClass $row): PlaceSettings
    {
        return new PlaceSettings(
            $service,
            PlaceKind::from($row->kind),
            $row->url,
            $row->user_name,
            $row->password === null ? '' : Crypt::decryptString($row->password),
            $row->pace === null ? null : (float) $row->pace,
            (float) $row->timeout,
        );
    }

    /** @return array<string, stdClass> */
    private function rows(): array
    {
        return $this->rows ??= DB::table('service_connections')->get()->keyBy('service')->all();
    }
}
