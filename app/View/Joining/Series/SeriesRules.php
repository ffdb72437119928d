<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

use Nomada\App\View\Joining\DoorForm;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Language\Said;

/** Who may join a series, and what they may do inside. */
final readonly class SeriesRules
{
    /**
     * @param  string  $sentence  what door and floor allow
     * @param  array<string, Said>  $moreOpen  in what they are more open than the preset
     * @param  string|null  $acceptedBy  who accepted that; null where nobody did
     * @param  array<string, Preset>  $presets  by key
     */
    public function __construct(
        public Preset $preset,
        public string $sentence,
        public array $moreOpen,
        public ?string $acceptedBy,
        public array $presets,
        public DoorForm $form,
    ) {
    }
}
