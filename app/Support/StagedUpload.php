<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\SchoolReader;

/** An uploaded import, kept on our disk between its preview and its taking. */
final readonly class StagedUpload
{
    private function __construct(public string $key, private string $folder)
    {
    }

    /** @param  list<UploadedFile>  $files one zip, or the files themselves */
    public static function keep(array $files): self
    {
        $key = (string) Str::ulid();
        $folder = storage_path("app/imports/$key");
        File::ensureDirectoryExists($folder);
        foreach ($files as $file) {
            $name = basename($file->getClientOriginalName());
            // Only known names are kept under their own; anything else can only be the zip.
            $file->move($folder, in_array($name, SchoolReader::FILES, true) ? $name : 'upload.zip');
        }

        return new self($key, $folder);
    }

    /** @param  array<string, string>  $texts  files of an import by their names */
    public static function texts(array $texts): self
    {
        $key = (string) Str::ulid();
        $folder = storage_path("app/imports/$key");
        File::ensureDirectoryExists($folder);
        foreach ($texts as $name => $text) {
            File::put("$folder/".basename($name), $text);
        }

        return new self($key, $folder);
    }

    public static function find(string $key): self
    {
        $folder = storage_path("app/imports/$key");
        abort_unless(Str::isUlid($key) && is_dir($folder), 404);

        return new self($key, $folder);
    }

    public function read(string $zone = ''): SchoolData
    {
        $zip = "$this->folder/upload.zip";

        return SchoolReader::read(ImportFiles::from(is_file($zip) ? $zip : $this->folder), $zone);
    }

    public function forget(): void
    {
        File::deleteDirectory($this->folder);
    }
}
