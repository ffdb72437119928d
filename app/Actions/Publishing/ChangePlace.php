<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;

/**
 * Says where a service is from now on. What was at another server is not at the new one: all of it is to be
 * published there, and what was left at the old one stays there.
 */
final readonly class ChangePlace
{
    public function __construct(private Places $places, private Audit $audit, private StartRun $start)
    {
    }

    public function __invoke(PlaceSettings $new, Person $by): void
    {
        DB::transaction(function () use ($new, $by): void {
            DB::select('select pg_advisory_xact_lock(hashtext(?))', ["place {$new->service->value}"]);
            $this->places->forget();
            $old = $this->places->of($new->service);
            DB::table('service_connections')->upsert(
                [
                    'service' => $new->service->value,
                    'kind' => $new->kind->value,
                    'url' => $new->kind === PlaceKind::StandIn ? '' : $new->url,
                    'user_name' => $new->user,
                    'password' => $new->password === '' ? null : Crypt::encryptString($new->password),
                    'pace' => $new->pace,
                    'timeout' => $new->timeout,
                    'changed_at' => now(),
                    'changed_by' => $by->id,
                ],
                ['service'],
            );
            $this->places->forget();
            $this->follow($new->service, $old, $by);
            ($this->audit)('place', null, $by, new Said('audit.moved_place', [
                'service' => self::named($new->service),
                'kind' => new Said("publishing.places.kinds.{$new->kind->value}"),
                'address' => $new->url,
            ]));
        });
    }

    /** Asks the environment again. */
    public function reset(ExternalService $service, Person $by): void
    {
        DB::transaction(function () use ($service, $by): void {
            $old = $this->places->of($service);
            DB::table('service_connections')->where('service', $service->value)->delete();
            $this->places->forget();
            $this->follow($service, $old, $by);
            ($this->audit)('place', null, $by, new Said('audit.place_reset', [
                'service' => self::named($service),
            ]));
        });
    }

    /**
     * A room is one of the service that made it: another service knows none of them, so each link is given a new one,
     * by a run that shows what could not be. Until then it counts as a series without a link.
     */
    private function losesRooms(Person $by): void
    {
        $links = DB::table('join_links')->where('kind', LinkKind::Series)->whereNull('retired_at');
        $series = array_values(array_map(intval(...), $links->clone()->pluck('series_id')->all()));
        $links->update(['room' => '', 'dial_in' => '', 'pin' => null]);
        $sections = array_values(array_map(intval(...), DB::table('sections')->orderBy('id')->pluck('id')->all()));
        $this->start->links($sections, $by, true, $series);
        RefreshSections::later($sections);
    }

    private static function named(ExternalService $service): Said
    {
        return new Said("places.services.{$service->value}.name");
    }

    private function follow(ExternalService $service, PlaceSettings $old, Person $by): void
    {
        $new = $this->places->of($service);
        if ($service === ExternalService::Bridge && $new->isElsewhere($old)) {
            $this->losesRooms($by);
        }
        $destination = $service->destination();
        if ($destination === null || ! $new->isElsewhere($old)) {
            return;
        }
        $of = fn () => DB::table('published_items')->where('place', $destination->value);
        DB::table('outside_changes')->whereIn('placement_id', $of()->select('id'))->delete();
        $of()->whereNull('desired_hash')->delete();
        $of()->update([
            'published_hash' => $new->kind === PlaceKind::OurPage ? DB::raw('desired_hash') : null,
            'standing' => null,
            'remote' => null,
            'etag' => null,
            'schedule_tag' => null,
            'trouble' => null,
            'left_alone' => false,
            'published_at' => null,
        ]);
    }
}
