<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

enum LinkKind: string
{
    case Series = 'series';
    case Personal = 'personal';
    case Host = 'host';
}
