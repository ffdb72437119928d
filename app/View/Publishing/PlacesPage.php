<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\View\Publishing\Places\PlaceCard;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;

/** Where every service outside is, and what would be published there. */
final readonly class PlacesPage
{
    /** @param  list<PlaceCard>  $cards */
    private function __construct(public array $cards)
    {
    }

    public static function of(Places $places): self
    {
        $plan = DB::table('published_items')
            ->groupBy('place')
            ->get([
                'place',
                DB::raw('count(*) filter (where '.Placement::DIFFERS.' and published_hash is null) as add'),
                DB::raw(
                    'count(*) filter (where '.
                        Placement::DIFFERS.
                        ' and published_hash is not null and desired_hash is not null) as change',
                ),
                DB::raw(
                    'count(*) filter (where '.
                        Placement::DIFFERS.
                        ' and published_hash is not null and desired_hash is null) as remove',
                ),
                DB::raw('count(published_hash) as stands'),
            ])
            ->keyBy('place');

        return new self(
            array_map(function (ExternalService $service) use ($places, $plan): PlaceCard {
                $place = $service->destination();
                $row = $place === null ? null : $plan[$place->value] ?? null;

                return new PlaceCard(
                    $places->of($service),
                    $places->isKept($service),
                    $place === null
                        ? null
                        : [
                            'add' => (int) ($row->add ?? 0),
                            'change' => (int) ($row->change ?? 0),
                            'remove' => (int) ($row->remove ?? 0),
                            'stands' => (int) ($row->stands ?? 0),
                        ],
                );
            }, ExternalService::cases()),
        );
    }

    /** How many stand-ins are still in use. */
    public function standins(): int
    {
        return count(
            array_filter($this->cards, fn (PlaceCard $c): bool => $c->settings->kind === PlaceKind::StandIn),
        );
    }
}
