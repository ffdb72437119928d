<?php

use Nomada\Core\Recording\WavFile;

function wav(string $samples, int $channels = 1, int $format = 1, string $before = ''): string
{
    $block = 2 * $channels;
    $body =
        'WAVE'.
        $before.
        'fmt '.
        pack('VvvVVvv', 16, $format, $channels, 100, 100 * $block, $block, 16).
        'data'.
        pack('V', strlen($samples)).
        $samples;

    return 'RIFF'.pack('V', strlen($body)).$body;
}

test('a part is a file of its own, cut between samples', function () {
    $samples = implode('', array_map(fn (int $n): string => pack('v', $n), range(0, 199)));
    $file = wav($samples, before: 'LIST'.pack('V', 5)."abcde\0");
    $wav = WavFile::read(substr($file, 0, 1024), strlen($file));
    expect($wav->milliseconds())->toBe(2000);
    [$head, $at, $size] = $wav->part(500, 1505);
    $part = $head.substr($file, $at, $size);
    $again = WavFile::read($part, strlen($part));
    // 1505 ms are in the middle of a sample of ten milliseconds.
    expect($again->milliseconds())
        ->toBe(1000)
        ->and(unpack('v', substr($part, $again->dataAt, 2)))
        ->toBe([1 => 50])
        ->and(unpack('V', substr($part, 4, 4))[1])
        ->toBe(strlen($part) - 8)
        ->and($wav->part(0, 99_999)[2])
        ->toBe(400)
        ->and($wav->part(3000, 4000)[2])
        ->toBe(0);
});

test('what is no file of plain samples is not cut', function (string $file) {
    expect(WavFile::read(substr($file, 0, 1024), strlen($file)))->toBeNull();
})->with([
    'too short' => ['RIFF'],
    'another kind' => [str_repeat('OggS', 20)],
    'no wave' => ['RIFF'.pack('V', 60).'AVI '.str_repeat("\0", 60)],
    'compressed' => [wav('abcd', format: 7)],
    'no channel' => [wav('abcd', channels: 0)],
    'no samples' => [substr(wav('', before: 'LIST'.pack('V', 2000).str_repeat('x', 2000)), 0, 1500)],
]);
