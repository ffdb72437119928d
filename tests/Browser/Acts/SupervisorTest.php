<?php

use Tests\Support\RunningCopy;

// bin/start's supervisor and its children, killed as a machine kills them.

/** @return list<int> processes of a group that are still there */
function inGroup(int $group): array
{
    // Not those that have ended and are still listed, where nobody collects orphans.
    exec("pgrep -r D,I,R,S,T -g $group", $out);

    return array_map(intval(...), $out);
}

test('a killed web server is replaced as a whole, and a killed supervisor leaves nobody behind', function (): void {
    $copy = RunningCopy::bare();
    $group = fn (string $name): int => (int) file_get_contents(base_path("var/run/$name-$copy->port.pid"));
    $answers = fn (): bool => str_contains((string) @file_get_contents("{$copy->url()}/sign-in"), '<form');
    try {
        $copy->wait($answers);
        $first = $group('web');
        $before = inGroup($first);
        // The keeper leads the group; its child is the server that has the port, with its workers.
        exec("pgrep -P $first", $master);
        posix_kill((int) $master[0], SIGKILL);
        $copy->wait(fn (): bool => $group('web') !== $first && $answers());
        expect(inGroup($first))->toBe([])->and(count($before))->toBeGreaterThan(4);

        $all = array_map($group, ['web', 'standins', 'scheduler', 'worker-1', 'worker-2']);
        posix_kill($group('supervisor'), SIGKILL);
        $copy->wait(fn (): bool => array_merge(...array_map(inGroup(...), $all)) === []);
        expect(@fsockopen('127.0.0.1', $copy->port))->toBeFalse();
    } finally {
        $copy->end();
    }
});
