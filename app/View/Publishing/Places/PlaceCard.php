<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Places;

use Illuminate\Support\Facades\URL;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;

/** One service of the page Places. */
final readonly class PlaceCard
{
    /**
     * @param  bool  $isKept  said on this page, and not by the environment
     * @param  array{add: int, change: int, remove: int, stands: int}|null  $plan  null where nothing is published there
     */
    public function __construct(public PlaceSettings $settings, public bool $isKept, public ?array $plan)
    {
    }

    public function service(): ExternalService
    {
        return $this->settings->service;
    }

    /** Its own address; a stand-in's is nobody's to change. */
    public function url(): string
    {
        return $this->settings->kind === PlaceKind::StandIn ? '' : $this->settings->url;
    }

    /** Where a mail server brings answers to invitations; null for every service but the post. */
    public function repliesTo(): ?string
    {
        return $this->service() === ExternalService::Post ? URL::signedRoute('replies') : null;
    }

    public function hasPassword(): bool
    {
        return $this->settings->kind !== PlaceKind::StandIn && $this->settings->password !== '';
    }
}
