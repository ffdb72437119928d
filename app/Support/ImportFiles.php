<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;
use Nomada\Core\Interchange\SchoolReader;
use ZipArchive;

/** The files of an import, from a folder or a zip. Only the names that the import knows are read. */
final class ImportFiles
{
    private const MOST_BYTES = 64 * 1024 * 1024;

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
            default => throw new Fault("There is no folder or zip at \"$path\".", 'file'),
        };

        return $files === []
            ? throw new Fault(
                'None of the expected files is in it. Expected are '.implode(', ', SchoolReader::FILES).'.',
                'file',
            )
            : $files;
    }

    /** @return array<string, string> */
    private static function folder(string $path): array
    {
        $out = [];
        foreach (SchoolReader::FILES as $name) {
            if (is_file("$path/$name")) {
                $out[$name] =
                    (int) filesize("$path/$name") > self::MOST_BYTES
                        ? throw self::tooLarge($name)
                        : (string) file_get_contents("$path/$name");
            }
        }

        return $out;
    }

    /** @return array<string, string> */
    private static function zip(string $path): array
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new Fault('This file is not a zip. Put the files into one zip and choose that.', 'file');
        }
        $out = [];
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
                $out[$name] =
                    $stat['size'] > self::MOST_BYTES
                        ? throw self::tooLarge($name)
                        : (string) $zip->getFromIndex($i);
            }
        }
        $zip->close();

        return $out;
    }

    private static function tooLarge(string $name): Fault
    {
        return new Fault("$name is larger than 64 MB. Split the school into several imports.", 'file');
    }
}
