<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Closure;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\CalDav\CalDavServer;
use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Say;
use Nomada\Core\Interchange\Calendar\Invited;
use Nomada\Core\Interchange\Calendar\Invitee;
use Nomada\Core\Interchange\Calendar\Meaning;
use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Interchange\Calendar\ServedEvents;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Term\Zone;

/** A calendar server: one calendar a person, one iCalendar object a series. */
final class CalendarDestination implements Destination
{
    /** Seconds from now, both ways, of which a person reads what is there. */
    private const SPAN = 400 * 86400;

    private ?CalDavServer $server = null;

    private ?bool $invites = null;

    private ?string $school = null;

    /** @var array<string, Person|null> whose calendars have been asked for, by sourcedId */
    private array $people = [];

    public function put(Placement $wanted, Standing $standing): Receipt
    {
        [$person, $uid] = explode('/', $wanted->key, 2);
        $collection = $this->collection($person);
        $object = self::object($collection, $uid);
        $body = $this->invited($wanted->body(), $person);
        $title = fn (): string => $this->person($person)?->name() ?? $person;
        // A version that we do not know is asked for: an empty If-Match would overwrite whatever is there.
        $etag = $standing->etag === '' ? $this->server()->version($object) : $standing->etag;
        // Answers that the server has put in do not change this one: ours is put over them, and they stay.
        $only =
            $standing->schedule_tag === null
                ? self::only($etag)
                : ['If-Schedule-Tag-Match' => $standing->schedule_tag];
        $answer = $this->server()->put($collection, $object, $body, $only, $title);
        if ($answer->status() === 412) {
            $answer = $this->again($collection, $object, $body, $etag, $wanted, $title);
        }
        $version = $answer->header('ETag');
        if ($version === '' && ! $this->invites()) {
            $version = (string) $this->server()->version($object);
        }

        // Where the place invites, no version says that answers were put into what we sent: they are read at the next
        // look, which reads whatever is there in a version that we do not know.
        return new Receipt($object, $version, $answer->header('Schedule-Tag') ?: null);
    }

    public function remove(Standing $standing): void
    {
        [$person, $uid] = explode('/', $standing->key, 2);
        $this->server()->delete(self::object($this->collection($person), $uid));
    }

    public function read(string $space): array
    {
        $out = [];
        foreach ($this->server()->versions($this->collection($space)) as $href => $etag) {
            $uid = preg_replace('/\.ics$/', '', rawurldecode(basename($href)));
            $out["$space/$uid"] = new Found("$space/$uid", $etag);
        }

        return $out;
    }

    public function whole(Found $found): Found
    {
        [$person, $uid] = explode('/', $found->key, 2);
        $answer = $this->server()->get(self::object($this->collection($person), $uid));

        return new Found($found->key, $answer?->header('ETag') ?: $found->etag, (string) $answer?->body());
    }

    public function means(Found $found, Placement $wanted): bool
    {
        return Meaning::isSame((string) $found->body, $wanted->body());
    }

    public function words(Found $found): array
    {
        [$person] = explode('/', $found->key, 2);
        $zone = $this->person($person)?->zone() ?? Zone::named('UTC');
        $now = time();
        $events = ServedEvents::of((string) $found->body, $now - self::SPAN, $now + self::SPAN) ?? [];
        $first = $events[0] ?? null;

        return [
            'event' => (string) $first?->summary,
            'sessions' => array_map(
                fn (ServedEvent $e): string => $zone->dateAt($e->start)->short().
                    ', '.
                    $zone->clock($e->start).
                    '–'.
                    $zone->clock($e->end).
                    ' '.
                    Say::place($zone),
                $events,
            ),
            'link' => (string) $first?->link,
        ];
    }

    /**
     * Something else is there than we thought. Where that is what we mean to put, an earlier try had arrived; where
     * it is gone, or the server's versions are weak and it is the one that we left, ours is put.
     *
     * @param  Closure(): string  $title
     *
     * @throws Drifted|DestinationFailure
     */
    private function again(
        string $collection,
        string $object,
        string $body,
        ?string $etag,
        Placement $wanted,
        Closure $title,
    ): Response {
        $standing = $this->server()->get($object);
        if ($standing === null) {
            return $this->server()->put($collection, $object, $body, ['If-None-Match' => '*'], $title);
        }
        $version = $standing->header('ETag') ?: (string) $this->server()->version($object);
        if (Meaning::isSame($standing->body(), $body)) {
            return $standing;
        }
        if ($etag !== null && $version === $etag && str_starts_with($etag, 'W/')) {
            return $this->server()->put($collection, $object, $body, [], $title);
        }

        throw new Drifted(
            (string) __('places.other', ['service' => __('places.services.calendar.in_sentence')]),
            new Found($wanted->key, $version, $standing->body()),
        );
    }

    /** The object with whom it invites, where the place does that and the person has an address. */
    private function invited(string $object, string $sourcedId): string
    {
        // Looking a person up delays all requests beside this one, so it is done only if asked.
        $person = $this->invites() ? $this->person($sourcedId) : null;
        if ($person === null || (string) $person->email === '') {
            return $object;
        }
        $school = $this->school ??= (string) DB::table('schools')->orderBy('id')->value('name');

        return Invited::of(
            $object,
            new Invitee($school, $this->server()->organizer(), $person->name(), (string) $person->email),
        );
    }

    private function invites(): bool
    {
        return $this->invites ??= app(Places::class)->invites();
    }

    /** @return array<string, string> */
    private static function only(?string $etag): array
    {
        return $etag === null ? ['If-None-Match' => '*'] : ['If-Match' => $etag];
    }

    private static function object(string $collection, string $uid): string
    {
        return $collection.rawurlencode($uid).'.ics';
    }

    private function collection(string $person): string
    {
        return $this->server()->collection($person, fn (): ?string => $this->person($person)?->email);
    }

    private function person(string $sourcedId): ?Person
    {
        if (! array_key_exists($sourcedId, $this->people)) {
            $this->people[$sourcedId] = Person::query()->where('sourced_id', $sourcedId)->first();
        }

        return $this->people[$sourcedId];
    }

    private function server(): CalDavServer
    {
        return $this->server ??= CalDavServer::atPlace();
    }
}
