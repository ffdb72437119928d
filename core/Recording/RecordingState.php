<?php

declare(strict_types=1);

namespace Nomada\Core\Recording;

/** Where a recording is (docs/rules.md, Recordings). Words in lang/en/recordings.php. */
enum RecordingState: string
{
    case Recording = 'recording';
    case Processing = 'processing';
    case Ready = 'ready';
    case Released = 'released';
    case Withdrawn = 'withdrawn';
    case Failed = 'failed';

    /** @return list<self> where it can go from here */
    public function next(): array
    {
        return match ($this) {
            self::Recording => [self::Processing, self::Failed],
            self::Processing => [self::Ready, self::Failed],
            self::Ready, self::Withdrawn => [self::Released],
            self::Released => [self::Withdrawn],
            self::Failed => [],
        };
    }

    /** Whether there is something to look at. */
    public function isWhole(): bool
    {
        return in_array($this, [self::Ready, self::Released, self::Withdrawn], true);
    }
}
