<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\View\Joining\DoorForm;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Term;

/**
 * Everything about joining one series: its links in every form, where they stand, its door and floor, and its guests.
 */
final readonly class SeriesDoorPage
{
    /**
     * @param  string  $sentence  what door and floor allow
     * @param  array<string, Said>  $moreOpen  in what they are more open than the preset
     * @param  string|null  $acceptedBy  who accepted that; null where nobody did
     * @param  Links|null  $links  null where none is made yet
     * @param  int|null  $next  the session that comes next or runs
     * @param  list<StandingPlace>  $places
     * @param  list<OwnDoor>  $own
     * @param  array<int, string>  $coming  sessions that can have a door of their own, by id
     * @param  int|null  $chosen  the session whose own door the form is for; $chosenDay its day
     * @param  array<string, Preset>  $presets  by key
     */
    public function __construct(
        public Section $section,
        public Series $series,
        public Term $term,
        public bool $mayChange,
        public Preset $preset,
        public string $sentence,
        public array $moreOpen,
        public ?string $acceptedBy,
        public ?Links $links,
        public ?int $next,
        public array $places,
        public RegisteringForm $registering,
        public array $presets,
        public array $own,
        public array $coming,
        public ?int $chosen,
        public string $chosenDay,
        public DoorForm $form,
    ) {
    }

    public function name(): string
    {
        return $this->section->name().
            ($this->series->title === $this->section->title ? '' : ": {$this->series->title}");
    }

    /** @return 'none'|'hidden'|'shown' */
    public function linkState(): string
    {
        return $this->links === null ? 'none' : ($this->links->isHidden ? 'hidden' : 'shown');
    }
}
