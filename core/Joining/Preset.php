<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Language\Said;

/** A named door and floor for a usual kind of session. */
final readonly class Preset
{
    /** @param  Said|string  $name  what a school calls its own; of a usual one its words */
    public function __construct(
        public string $key,
        public Said|string $name,
        public DoorRules $door,
        public Floor $floor,
    ) {
    }

    /** @return array<string, self> the ones that every school has, by key */
    public static function usual(): array
    {
        $all = [
            new self('lesson', new Said('presets.lesson'), new DoorRules(), new Floor()),
            new self(
                'group-presentations',
                new Said('presets.group-presentations'),
                new DoorRules(),
                new Floor(screen: Who::Everyone, draw: Who::Everyone),
            ),
            new self(
                'office-hours',
                new Said('presets.office-hours'),
                new DoorRules(straightIn: EntryWithoutWaiting::Nobody, othersWait: true),
                new Floor(),
            ),
            new self(
                'guest-lecture',
                new Said('presets.guest-lecture'),
                new DoorRules(straightIn: EntryWithoutWaiting::School, othersWait: true),
                new Floor(speak: Who::Host, camera: Who::Host),
            ),
            new self(
                'recording',
                new Said('presets.recording'),
                new DoorRules(opensBefore: 0, straightIn: EntryWithoutWaiting::Nobody),
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
    public function sentence(): Said
    {
        return self::say($this->door, $this->floor);
    }

    public static function say(DoorRules $door, Floor $floor): Said
    {
        return new Said('in.sentence', ['in' => self::in($door), 'floor' => $floor->sentence()]);
    }

    /** "Registered students come in from 10 minutes before, once a teacher is inside; others are turned away" */
    private static function in(DoorRules $door): Said
    {
        if ($door->straightIn === EntryWithoutWaiting::Nobody) {
            return new Said($door->othersWait ? 'in.wait' : 'in.teachers');
        }

        return new Said('in.rule', [
            'who' => new Said("in.who.{$door->straightIn->value}"),
            'when' => $door->opensBefore === 0
                    ? new Said('in.from_start')
                    : new Said('in.minutes', ['minutes' => $door->opensBefore]),
            'host' => new Said($door->needsHost ? 'in.needs_host' : 'in.no_host'),
            'others' => new Said($door->othersWait ? 'in.others_wait' : 'in.others_turned'),
            'link' => $door->hiddenOutside ? new Said('in.hidden') : '',
        ]);
    }
}
