<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\CalDav\CalDavServer;
use Nomada\App\Destinations\ConnectionCheck;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Service;
use Nomada\App\Models\Term\Person;
use Nomada\App\Post\PlaceTransport;
use Nomada\Core\Belonging\Role;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;
use Symfony\Component\Mailer\Exception\ExceptionInterface;

/** Speaks to a service once, changes nothing there, and says in plain words what it answered. */
final readonly class TryPlace
{
    public function __invoke(PlaceSettings $place): ConnectionCheck
    {
        try {
            return match ($place->kind) {
                PlaceKind::StandIn, PlaceKind::OwnService => $this->service($place),
                PlaceKind::CalDav => $this->calendars($place),
                PlaceKind::CalDavInvites => $this->invites($place),
                PlaceKind::Smtp => $this->mail($place),
                PlaceKind::KnownRooms => $this->rooms(),
                PlaceKind::OurPage => new ConnectionCheck(true, [(string) __('publishing.places.tried.ours')]),
            };
        } catch (DestinationFailure $e) {
            return new ConnectionCheck(false, [$e->getMessage()]);
        }
    }

    private function service(PlaceSettings $place): ConnectionCheck
    {
        $path = match ($place->service) {
            ExternalService::Course => '/pages/nomada-try',
            ExternalService::Stream => '/sections/nomada-try',
            default => '/',
        };
        if ($place->service === ExternalService::Calendar) {
            return $this->calendars($place);
        }
        // What knows nothing of such a page, and says so, has answered.
        $answer = Service::at($place)->send('GET', $path, '', [], [404]);

        return new ConnectionCheck(true, [
            (string) __('publishing.places.tried.answers', ['status' => $answer->status()]),
        ]);
    }

    private function calendars(PlaceSettings $place): ConnectionCheck
    {
        $server = new CalDavServer(Service::at($place), $place);
        if (! $place->isTemplate()) {
            return new ConnectionCheck(true, [
                (string) __('publishing.places.tried.home', ['home' => $server->home()]),
            ]);
        }
        $person = Person::query()
            ->whereNotNull('email')
            ->whereIn('role', [Role::Student, Role::Teacher])
            ->orderBy('id')
            ->first();
        if ($person === null) {
            return new ConnectionCheck(false, [(string) __('publishing.places.tried.nobody')]);
        }
        $collection = $server->collection($person->sourced_id, fn (): ?string => $person->email);
        $isThere = $server->isThere($collection);

        return new ConnectionCheck(true, [
            (string) __($isThere ? 'publishing.places.tried.calendar' : 'publishing.places.tried.no_calendar', [
                'who' => $person->name(),
                'at' => $collection,
            ]),
        ]);
    }

    private function invites(PlaceSettings $place): ConnectionCheck
    {
        $server = new CalDavServer(Service::at($place), $place);

        return new ConnectionCheck(true, [
            (string) __('publishing.places.tried.home', ['home' => $server->home()]),
            (string) __('publishing.places.tried.invites', ['address' => $server->organizer()]),
        ]);
    }

    private function mail(PlaceSettings $place): ConnectionCheck
    {
        $server = PlaceTransport::smtp($place, $place->timeout);
        try {
            $server->start();
            $server->stop();
        } catch (ExceptionInterface $e) {
            return new ConnectionCheck(false, [$e->getMessage()]);
        }

        return new ConnectionCheck(true, [
            (string) __($place->user === '' ? 'publishing.places.tried.mail' : 'publishing.places.tried.mail_as', [
                'user' => $place->user,
            ]),
        ]);
    }

    private function rooms(): ConnectionCheck
    {
        $n = DB::table('known_rooms')->count();

        return new ConnectionCheck($n > 0, [trans_choice('publishing.places.tried.rooms', $n)]);
    }
}
