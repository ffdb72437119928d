<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

/** Which sections the board shows. Each filter but the first has a button with its number. */
enum BoardFilter: string
{
    case All = '';
    case Issues = 'issues';
    case Unpublished = 'unpublished';

    public function takes(BoardRow $row): bool
    {
        return match ($this) {
            self::All => true,
            self::Issues => $row->shown() !== [],
            self::Unpublished => $row->status->isUnpublished(),
        };
    }

    /** @return list<self> */
    public static function buttons(): array
    {
        return [self::Issues, self::Unpublished];
    }
}
