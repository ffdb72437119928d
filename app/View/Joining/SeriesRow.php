<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Crypt;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Language\Said;

/** One series with its join link, as plain values. Its link and code are opened only where they are shown. */
final readonly class SeriesRow
{
    /**
     * @param  string|null  $secret  of its link, sealed; null where no link is made; its code likewise
     * @param  array<string, Said>  $moreOpen  in what its door or floor is more open than its preset
     */
    public function __construct(
        public string $section,
        public string $name,
        public string $title,
        public string $meets,
        private ?string $secret,
        private ?string $sealedCode,
        public int $roster,
        public int $registered,
        public int $id = 0,
        public ?Preset $preset = null,
        public string $sentence = '',
        public bool $differs = false,
        public array $moreOpen = [],
        public ?string $acceptedBy = null,
        public bool $isHidden = false,
        public ?string $account = null,
        public ?string $registering = null,
    ) {
    }

    public function hasLink(): bool
    {
        return $this->secret !== null;
    }

    /** The address of the door; empty where no link is made. */
    public function link(string $doors): string
    {
        return $this->secret === null ? '' : $doors.'/'.Crypt::decryptString($this->secret);
    }

    public function code(): string
    {
        return $this->sealedCode === null ? '' : JoinCode::show(Crypt::decryptString($this->sealedCode));
    }
}
