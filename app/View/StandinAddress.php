<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;

/**
 * Where somebody looks at a destination: a stand-in's own page (with a pass for exactly this page, and the moment of
 * our clock), or a page or feed of ours. Null where the school's own service is, which we have no page of.
 */
final readonly class StandinAddress
{
    public function __construct(private Clock $clock, private Places $places)
    {
    }

    public function coursePage(Section $section, Person $for): ?string
    {
        return match ($this->kind(ExternalService::Course)) {
            PlaceKind::StandIn => $this->page(
                '/course/pages/'.rawurlencode($section->sourced_id),
                $section->name(),
                $for,
            ),
            PlaceKind::OurPage => SectionFeed::page($section),
            default => null,
        };
    }

    public function stream(Section $section, Person $for): ?string
    {
        return match ($this->kind(ExternalService::Stream)) {
            PlaceKind::StandIn => $this->page(
                '/stream/sections/'.rawurlencode($section->sourced_id),
                $section->name(),
                $for,
            ),
            PlaceKind::OurPage => SectionFeed::stream($section),
            default => null,
        };
    }

    public function calendar(Person $person): ?string
    {
        return $this->kind(ExternalService::Calendar) === PlaceKind::StandIn
            ? $this->page('/calendar/people/'.rawurlencode($person->sourced_id), $person->name(), $person)
            : null;
    }

    public function mailbox(Person $person): ?string
    {
        return $this->kind(ExternalService::Post) === PlaceKind::StandIn
            ? $this->page(
                '/post/people/'.rawurlencode(mb_strtolower((string) $person->email)),
                'Post of '.$person->name(),
                $person,
            )
            : null;
    }

    private function kind(ExternalService $service): PlaceKind
    {
        return $this->places->of($service)->kind;
    }

    public function controls(): string
    {
        return config('nomada.standins.url').'/controls?pass='.self::pass('/controls');
    }

    private function page(string $path, string $title, Person $for): string
    {
        return config('nomada.standins.url').
            $path.
            '?'.
            http_build_query([
                'pass' => self::pass($path),
                'title' => $title,
                'zone' => $for->time_zone,
                'at' => $this->clock->seconds(),
            ]);
    }

    private static function pass(string $path): string
    {
        return substr(hash_hmac('sha256', $path, (string) config('nomada.standins.token')), 0, 32);
    }
}
