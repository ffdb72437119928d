<?php

declare(strict_types=1);

namespace Nomada\App\Destinations\CalDav;

use Closure;
use Illuminate\Http\Client\Response;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Places;
use Nomada\App\Destinations\Service;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceSettings;

/**
 * Speaks RFC 4791 to one calendar server. A person's collection is named by the place's address, where that has
 * `{sourcedId}` or `{address}` in it; otherwise the account's calendars are found from the address alone (RFC 6764: the
 * well-known address; RFC 5397: who we are; RFC 4791, 6.2.1: where the calendars are), and each person has one there.
 */
final class CalDavServer
{
    private const ERRORS = [400, 401, 403, 404, 405, 409, 412, 415, 423, 424, 507];

    private ?string $home = null;

    private ?string $principal = null;

    private ?string $organizer = null;

    public function __construct(private readonly Service $service, private readonly PlaceSettings $place)
    {
    }

    public static function atPlace(): self
    {
        $place = app(Places::class)->of(ExternalService::Calendar);

        return new self(Service::at($place), $place);
    }

    /**
     * Where a person's calendar is; with a slash at its end.
     *
     * @param  Closure(): ?string  $address  asked only where the place's address needs it
     *
     * @throws DestinationFailure where somebody without an address has no calendar
     */
    public function collection(string $sourcedId, Closure $address): string
    {
        $path = str_replace('{sourcedId}', rawurlencode($sourcedId), $this->place->url);
        if (! $this->place->isTemplate()) {
            $path = $this->home().rawurlencode(strtolower($sourcedId));
        } elseif (str_contains($path, '{address}')) {
            $own = $address() ?? throw new DestinationFailure((string) __('places.caldav.no_address'), true);
            $path = str_replace('{address}', rawurlencode($own), $path);
        }

        return rtrim($path, '/').'/';
    }

    /**
     * Where the calendars of the account are that we come in with.
     *
     * @throws DestinationFailure
     */
    public function home(): string
    {
        if ($this->home !== null) {
            return $this->home;
        }
        $home =
            $this->property($this->principal(), 'c:calendar-home-set') ??
            throw new DestinationFailure((string) __('places.caldav.no_home'), true);

        return $this->home = rtrim($this->service->whole($home), '/').'/';
    }

    /**
     * By which address the account invites, where the server schedules (RFC 6638, 2 and 2.4.1); without `mailto:`.
     *
     * @throws DestinationFailure where it does not
     */
    public function organizer(): string
    {
        if ($this->organizer !== null) {
            return $this->organizer;
        }
        $offers = $this->send('OPTIONS', $this->home(), '', null)->header('DAV');
        if (! str_contains($offers, 'calendar-auto-schedule')) {
            throw new DestinationFailure((string) __('places.caldav.no_scheduling'), true);
        }
        $address = (string) $this->property($this->principal(), 'c:calendar-user-address-set');
        if (! str_starts_with($address, 'mailto:')) {
            throw new DestinationFailure((string) __('places.caldav.no_organizer'), true);
        }

        return $this->organizer = substr($address, strlen('mailto:'));
    }

    /**
     * @return array<string, string> versions by address, of what is in a collection; empty if there is none
     *
     * @throws DestinationFailure
     */
    public function versions(string $collection): array
    {
        $answer = $this->send('PROPFIND', $collection, self::propfind('<d:getetag/><d:resourcetype/>'), 1, [404]);
        if ($answer->status() === 404) {
            return [];
        }
        $out = [];
        foreach ($this->multi($answer, ['d:getetag'])->found as $href => $own) {
            if (! isset($own['is-collection']) && isset($own['d:getetag'])) {
                $out[$href] = $own['d:getetag'];
            }
        }

        return $out;
    }

    /** @throws DestinationFailure */
    public function version(string $object): ?string
    {
        $answer = $this->send('PROPFIND', $object, self::propfind('<d:getetag/>'), 0, [404]);
        if ($answer->status() === 404) {
            return null;
        }
        foreach ($this->multi($answer, ['d:getetag'])->found as $own) {
            return $own['d:getetag'] ?? null;
        }

        return null;
    }

    /** @throws DestinationFailure */
    public function get(string $object): ?Response
    {
        $answer = $this->send('GET', $object, '', null, [404], ['Accept' => 'text/calendar']);

        return $answer->status() === 404 ? null : $answer;
    }

    /**
     * Puts an object; makes the collection if there is none.
     *
     * @param  array<string, string>  $condition  If-Match, If-None-Match or If-Schedule-Tag-Match
     * @param  Closure(): string  $title  what a new collection is called
     * @return Response of success, or 412
     *
     * @throws DestinationFailure
     */
    public function put(
        string $collection,
        string $object,
        string $body,
        array $condition,
        Closure $title,
    ): Response {
        $type = 'text/calendar; charset=utf-8';
        $answer = $this->send('PUT', $object, $body, null, [403, 404, 409, 412], $condition, $type);
        if (! in_array($answer->status(), [403, 404, 409], true)) {
            return $answer;
        }
        // Either there is no such collection, or the server means no.
        if (! $this->isThere($collection)) {
            $this->make($collection, $title());
        }

        return $this->send('PUT', $object, $body, null, [412], $condition, $type);
    }

    /** @throws DestinationFailure */
    public function delete(string $object): void
    {
        $this->send('DELETE', $object, '', null, [404]);
    }

    /** @throws DestinationFailure */
    public function isThere(string $collection): bool
    {
        $answer = $this->send('PROPFIND', $collection, self::propfind('<d:resourcetype/>'), 0, [404, 403]);

        return $answer->successful() && $this->multi($answer, [])->found !== [];
    }

    /** @throws DestinationFailure */
    public function make(string $collection, string $title): void
    {
        $name = htmlspecialchars($title, ENT_XML1 | ENT_QUOTES);
        // 405: it has been made meanwhile (RFC 4791, 5.3.1).
        $this->send(
            'MKCALENDAR',
            $collection,
            '<?xml version="1.0" encoding="utf-8"?><c:mkcalendar xmlns:d="DAV:" '.
                'xmlns:c="urn:ietf:params:xml:ns:caldav"><d:set><d:prop><d:displayname>'.
                $name.
                '</d:displayname></d:prop></d:set></c:mkcalendar>',
            null,
            [405],
        );
    }

    /** The address of who we are there (RFC 5397). */
    private function principal(): string
    {
        if ($this->principal === null) {
            $start = $this->start();
            $found = $this->property($start, 'd:current-user-principal') ?? $start;
            $this->principal = $this->service->whole($found);
        }

        return $this->principal;
    }

    /** Where to begin: the address itself where it says who we are, else its well-known one. */
    private function start(): string
    {
        $address = $this->place->url.(parse_url($this->place->url, PHP_URL_PATH) === null ? '/' : '');
        if ($this->property($address, 'd:current-user-principal') !== null) {
            return $address;
        }
        $known = $this->service->whole('/.well-known/caldav');

        return $this->property($known, 'd:current-user-principal') === null ? $address : $known;
    }

    private function property(string $at, string $property): ?string
    {
        $answer = $this->send('PROPFIND', $at, self::propfind("<$property/>"), 0, [404, 405]);
        if (! $answer->successful()) {
            return null;
        }
        foreach ($this->multi($answer, [$property])->found as $own) {
            if (($own[$property] ?? '') !== '') {
                return $own[$property];
            }
        }

        return null;
    }

    /** @param  list<string>  $properties */
    private function multi(Response $answer, array $properties): MultiStatus
    {
        return MultiStatus::read($answer->body(), $properties) ??
            throw new DestinationFailure((string) __('places.caldav.no_dav'), true, null, $answer->status());
    }

    private static function propfind(string $properties): string
    {
        return '<?xml version="1.0" encoding="utf-8"?><d:propfind xmlns:d="DAV:" '.
            "xmlns:c=\"urn:ietf:params:xml:ns:caldav\"><d:prop>$properties</d:prop></d:propfind>";
    }

    /**
     * @param  list<int>  $expects
     * @param  array<string, string>  $headers
     *
     * @throws DestinationFailure with what the status means in words
     */
    private function send(
        string $method,
        string $url,
        string $body,
        ?int $depth,
        array $expects = [],
        array $headers = [],
        string $type = 'application/xml; charset=utf-8',
    ): Response {
        $headers += $depth === null ? [] : ['Depth' => (string) $depth];
        $answer = $this->service->send($method, $url, $body, $headers, self::ERRORS, $type);
        if ($answer->successful() || in_array($answer->status(), $expects, true)) {
            return $answer;
        }
        $status = $answer->status();
        $named = MultiStatus::precondition($answer->body());
        // What our stand-in says in words of its own, else what the status means.
        $said = $answer->json('error');
        $words = is_string($said) ? $said : (string) __("places.caldav.status.$status");
        if ($named !== null) {
            $key = "places.caldav.precondition.$named";
            $words .=
                ' '.(trans()->has($key) ? __($key) : __('places.caldav.precondition.other', ['name' => $named]));
        }

        throw new DestinationFailure($words, ! in_array($status, [409, 423, 424], true), null, $status);
    }
}
