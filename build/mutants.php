<?php

/*
 * What a log of Pest's mutation plugin comes to: php build/mutants.php LOG. The score, and by file what no test
 * noticed, most first.
 *
 * Breakages of declarations (constants, the usual values of parameters and properties, cases) are left out: no driver
 * of coverage sees them run, so the plugin calls them uncovered without having tried a test on them. They are said
 * beside it.
 */

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

require __DIR__.'/../vendor/autoload.php';

$log = (string) file_get_contents($argv[1]);
$noticed = 0;
if (preg_match('/Mutations:.*/', $log, $line) === 1) {
    preg_match_all('/(\d+) (tested|timeout)/', $line[0], $m);
    $noticed = array_sum(array_map(intval(...), $m[1]));
}

/** @return list<array{int, int}> first and last line of each declaration */
$declared = function (string $file): array {
    $code = (new ParserFactory())->createForNewestSupportedVersion()->parse((string) file_get_contents($file)) ?? [];
    $is = fn (Node $n): bool => $n instanceof Node\Stmt\ClassConst ||
        $n instanceof Node\Param ||
        $n instanceof Node\Stmt\Property ||
        $n instanceof Node\Stmt\EnumCase;

    $found = (new NodeFinder())->find($code, $is);

    return array_map(fn (Node $n): array => [$n->getStartLine(), $n->getEndLine()], $found);
};

$files = $lines = [];
$left = 0;
preg_match_all('/(UNTESTED|UNCOVERED)\s+(\S+\.php)\s+> Line (\d+)/', $log, $all, PREG_SET_ORDER);
foreach ($all as [, $what, $file, $line]) {
    $lines[$file] ??= $declared(__DIR__."/../$file");
    $isDeclared = array_filter($lines[$file], fn (array $l): bool => $line >= $l[0] && $line <= $l[1]) !== [];
    if ($what === 'UNCOVERED' && $isDeclared) {
        $left++;
    } else {
        $files[$file] = ($files[$file] ?? 0) + 1;
    }
}
arsort($files);
$missed = array_sum($files);
foreach ($files as $file => $n) {
    printf("%5d not noticed  %s\n", $n, $file);
}
printf(
    "%.1f %% noticed, %d of %d; beside them %d of declarations\n",
    $noticed + $missed === 0 ? 100 : (100 * $noticed) / ($noticed + $missed),
    $noticed,
    $noticed + $missed,
    $left,
);
