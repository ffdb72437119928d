<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Symfony\Component\HttpFoundation\Response;
use ZipArchive;

/** Some text files as one zip. */
final class ZipText
{
    /** @param  array<string, string>  $files  contents by name */
    public static function respond(string $name, array $files, string $ending = 'zip'): Response
    {
        $content = self::of($files);
        $plain = preg_replace('/[^a-z0-9-]+/', '-', mb_strtolower($name));

        return new Response($content, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => "attachment; filename=\"$plain.$ending\"",
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** @param  array<string, string>  $files  contents by name */
    public static function of(array $files): string
    {
        $path =
            tempnam(sys_get_temp_dir(), 'nomada') ?:
            throw new \RuntimeException('No file can be made in '.sys_get_temp_dir());
        try {
            $zip = new ZipArchive();
            $zip->open($path, ZipArchive::OVERWRITE);
            foreach ($files as $file => $text) {
                $zip->addFromString($file, $text);
            }
            $zip->close();

            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }
}
