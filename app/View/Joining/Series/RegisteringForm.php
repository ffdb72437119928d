<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

use Nomada\App\Queries\Templates;
use Nomada\App\View\Typed;
use Nomada\Core\Registration\Registering;

/** How students register for a series, and the form in which that is changed. */
final readonly class RegisteringForm
{
    /**
     * @param  string|null  $words  what holds; null where the roster is followed
     * @param  'roster'|'once'|'each'  $mode
     * @param  string|null  $opens  ISO; $closes likewise
     */
    private function __construct(
        public ?string $words,
        public string $mode,
        public bool $acceptsCertain,
        public ?string $opens,
        public ?string $closes,
        public string $seats,
    ) {
    }

    public static function of(?Registering $rules): self
    {
        $stands = $rules === null ? 'roster' : ($rules->each ? 'each' : 'once');
        $typed = Typed::text('mode', $stands);

        return new self(
            $rules?->say(Templates::phrases(app()->getLocale())),
            in_array($typed, ['roster', 'once', 'each'], true) ? $typed : $stands,
            Typed::has('mode') ? (bool) Typed::text('accepts_certain') : $rules->acceptsCertain ?? false,
            $rules?->opens?->iso(),
            $rules?->closes?->iso(),
            Typed::text('seats', $rules?->seats),
        );
    }
}
