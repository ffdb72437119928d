<?php

declare(strict_types=1);

// bin/bench [NAME ...]: runs the benchmarks, each with a peer beside ours in the same run, and prints ratios and peak
// memory.

use Nomada\Bench\Attendance;
use Nomada\Bench\Clashes;
use Nomada\Bench\Closing;
use Nomada\Bench\Doors;
use Nomada\Bench\Expand;
use Nomada\Bench\FixTimetable;
use Nomada\Bench\FreeTimes;
use Nomada\Bench\Killed;
use Nomada\Bench\Links;
use Nomada\Bench\Making;
use Nomada\Bench\Matches;
use Nomada\Bench\PlaceTimetable;
use Nomada\Bench\Publishing;
use Nomada\Bench\Transcripts;
use Nomada\Bench\WholeSchool;

error_reporting(E_ALL & ~E_DEPRECATED);
ini_set('memory_limit', '2G');
require __DIR__.'/../vendor/autoload.php';

$all = [
    'expand' => Expand::class,
    'clashes' => Clashes::class,
    'free-times' => FreeTimes::class,
    'match' => Matches::class,
    'links' => Links::class,
    'making' => Making::class,
    'publish' => Publishing::class,
    'door' => Doors::class,
    'closing' => Closing::class,
    'attendance' => Attendance::class,
    'parts' => Transcripts::class,
    'fix-clashes' => FixTimetable::class,
    'place' => PlaceTimetable::class,
];
// Take minutes, and the first kills the database of this machine: only where they are asked for.
$alone = ['killed' => Killed::class, 'publish-all' => WholeSchool::class];
$names = array_slice($argv, 1) ?: array_keys($all);
$all += $alone;
$good = true;
foreach ($names as $name) {
    if (! isset($all[$name])) {
        fwrite(STDERR, "There is no benchmark \"$name\". There are: ".implode(', ', array_keys($all)).".\n");
        exit(1);
    }
    $good = (new ($all[$name])())->run() && $good;
}
exit($good ? 0 : 1);
