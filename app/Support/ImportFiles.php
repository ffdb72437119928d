<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\SchoolReader;
use ZipArchive;

/** The files of an import, from a folder or a zip. Only the names that the import knows are read. */
final class ImportFiles
{
    /** Of all files together, unpacked: whatever a zip says of itself, no more is read. */
    private const MOST_BYTES = 64 * 1024 * 1024;

    /** Of a zip, whatever their names. */
    private const MOST_ENTRIES = 2000;

    /**
     * @return array<string, string> contents by file name
     *
     * @throws Fault
     */
    public static function from(string $path): array
    {
        $files = match (true) {
            is_dir($path) => self::folder($path),
            is_file($path) => self::zip($path),
            default => throw new Fault('import.nothing', 'file', ['path' => $path]),
        };

        return $files === [] ? throw new Fault('import.files', 'file', ['files' => SchoolReader::FILES]) : $files;
    }

    /** @return array<string, string> */
    private static function folder(string $path): array
    {
        $out = [];
        $left = self::MOST_BYTES;
        foreach (SchoolReader::FILES as $name) {
            if (is_file("$path/$name")) {
                $out[$name] = self::within(
                    (string) file_get_contents("$path/$name", length: max(0, $left) + 1),
                    $left,
                );
                $left -= strlen($out[$name]);
            }
        }

        return $out;
    }

    /** @return array<string, string> */
    private static function zip(string $path): array
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true || $zip->numFiles > self::MOST_ENTRIES) {
            throw new Fault('import.zip', 'file');
        }
        $out = [];
        $left = self::MOST_BYTES;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $stat = $zip->statIndex($i);
            if ($stat === false) {
                continue;
            }
            $name = basename($stat['name']);
            if (
                in_array($name, SchoolReader::FILES, true) &&
                ! isset($out[$name]) &&
                ! str_contains($stat['name'], '__MACOSX')
            ) {
                $out[$name] = self::within((string) $zip->getFromIndex($i, $left + 1), $left);
                $left -= strlen($out[$name]);
            }
        }
        $zip->close();

        return $out;
    }

    /** @throws Fault where a text is longer than what is left of the whole */
    private static function within(string $text, int $left): string
    {
        return strlen($text) <= $left ? $text : throw new Fault('import.size', 'file');
    }
}
