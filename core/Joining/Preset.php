<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** A named door and floor for a usual kind of session. */
final readonly class Preset
{
    public function __construct(
        public string $key,
        public string $name,
        public DoorRules $door,
        public Floor $floor,
    ) {
    }

    /** @return array<string, self> the ones that every school has, by key */
    public static function usual(): array
    {
        $all = [
            new self('lesson', 'Lesson', new DoorRules(), new Floor()),
            new self(
                'group-presentations',
                'Group presentations',
                new DoorRules(),
                new Floor(screen: Who::Everyone, draw: Who::Everyone),
            ),
            new self(
                'office-hours',
                'Office hours',
                new DoorRules(straightIn: StraightIn::Nobody, othersWait: true),
                new Floor(),
            ),
            new self(
                'guest-lecture',
                'Guest lecture',
                new DoorRules(straightIn: StraightIn::School, othersWait: true),
                new Floor(speak: Who::Host, camera: Who::Host),
            ),
            new self(
                'recording',
                'Recording without audience',
                new DoorRules(opensBefore: 0, straightIn: StraightIn::Nobody),
                new Floor(Who::Host, Who::Host, Who::Host),
            ),
        ];

        return array_combine(array_map(fn (self $p): string => $p->key, $all), $all);
    }

    /** Whether it comes with the application: what a school makes itself can be changed and taken out. */
    public function isUsual(): bool
    {
        return isset(self::usual()[$this->key]);
    }

    /** What a student will be able to do, in one sentence. */
    public function sentence(): string
    {
        return self::say($this->door, $this->floor);
    }

    public static function say(DoorRules $door, Floor $floor): string
    {
        $in = match ($door->straightIn) {
            StraightIn::Nobody => $door->othersWait
                ? 'Everybody waits outside until a teacher lets them in'
                : 'Only teachers come in',
            default => ucfirst($door->straightIn->words()).
                ' come'.
                ($door->straightIn === StraightIn::Accepted ? '' : 's').
                ' in from '.
                ($door->opensBefore === 0 ? 'the start' : "$door->opensBefore minutes before").
                ($door->needsHost ? ', once a teacher is inside' : ', also before a teacher').
                ($door->othersWait ? '; others wait outside' : '; others are turned away').
                ($door->hiddenOutside ? '; the link is hidden outside those hours' : ''),
        };

        return $in.'. '.$floor->sentence();
    }
}
