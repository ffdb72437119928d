<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Support\Say;
use Nomada\App\View\Typed;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\EntryWithoutWaiting;
use Nomada\Core\Joining\Floor;

/** The form of a door and a floor, filled in: with what was typed last, else with the rules that hold. */
final readonly class DoorForm
{
    /**
     * @param  string  $straightIn  who goes straight in
     * @param  array<string, bool>  $ticks  rules of the door that hold or not, by field
     * @param  array<string, string>  $rights  who may do what, by field: everyone, host or nobody
     */
    private function __construct(
        public string $opensBefore,
        public string $opensBeforeHosts,
        public string $straightIn,
        public array $ticks,
        public array $rights,
        public bool $isMutedOnEntry,
        public string $speakers,
        public string $cameras,
    ) {
    }

    public static function of(DoorRules $door, Floor $floor): self
    {
        // A box that is not ticked sends nothing: only where the form came back does its absence say something.
        $is = fn (string $field, bool $holds): bool => Typed::has('opens_before')
            ? (bool) Typed::text($field)
            : $holds;
        $rights = [];
        foreach ($floor->rights() as $right => $who) {
            $rights[$right] = Typed::text($right, $who->value);
        }

        return new self(
            Typed::text('opens_before', $door->opensBefore),
            Typed::text('opens_before_hosts', $door->opensBeforeHosts),
            Typed::text('straight_in', $door->straightIn->value),
            [
                'needs_host' => $is('needs_host', $door->needsHost),
                'others_wait' => $is('others_wait', $door->othersWait),
                'one_device' => $is('one_device', $door->oneDevice),
                'hidden_outside' => $is('hidden_outside', $door->hiddenOutside),
            ],
            $rights,
            $is('muted_on_entry', $floor->mutedOnEntry),
            Typed::text('speakers', $floor->speakers),
            Typed::text('cameras', $floor->cameras),
        );
    }

    /** @return array<string, string> words by value */
    public function straightIns(): array
    {
        $out = [];
        foreach (EntryWithoutWaiting::cases() as $one) {
            $out[$one->value] = Say::this($one->said());
        }

        return $out;
    }
}
