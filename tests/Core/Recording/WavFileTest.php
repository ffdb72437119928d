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

test('a file is read to its last byte, and as far as it goes', function () {
    $file = wav('abcdefgh');
    $wav = WavFile::read($file, strlen($file));
    expect([$wav->dataAt, $wav->dataSize, $wav->milliseconds()])
        ->toBe([44, 8, 40])
        // Cut off in the middle, as while it is being written.
        ->and(WavFile::read($file, strlen($file) - 4)->dataSize)
        ->toBe(4)
        ->and(WavFile::read(wav(''), 44)->dataSize)
        ->toBe(0)
        ->and(WavFile::read(substr(wav(''), 0, 43), 43))
        ->toBeNull();
    // What comes before the samples is passed over, with the byte that fills an odd one up.
    foreach ([4 => 'abcd', 5 => "abcde\0"] as $length => $bytes) {
        $file = wav('abcdefgh', before: 'LIST'.pack('V', $length).$bytes);
        expect(WavFile::read($file, strlen($file))->dataAt)->toBe(44 + 8 + strlen($bytes));
    }
    // A head of its own is a whole file.
    [$head, $at, $size] = $wav->part(10, 30);
    expect([
        strlen($head),
        $at,
        $size,
        substr($head, 0, 4),
        substr($head, 8, 8),
        unpack('V', substr($head, 16, 4))[1],
    ])
        ->toBe([44, 46, 4, 'RIFF', 'WAVEfmt ', 16])
        ->and($wav->part(30, 10)[2])
        ->toBe(0);
});

test('more channels are cut together', function () {
    $file = wav(str_repeat('abcd', 100), channels: 2);
    [, $at, $size] = WavFile::read($file, strlen($file))->part(15, 35);
    expect([$at, $size])->toBe([44 + 4, 8]);
});
