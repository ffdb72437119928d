<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** An uploaded text, kept on our disk between its preview and its taking, with what was chosen beside it. */
final readonly class StagedText
{
    /** @param  array<string, string>  $with */
    private function __construct(
        public string $key,
        public string $name,
        public string $text,
        public array $with,
    ) {
    }

    /** @param  array<string, string>  $with */
    public static function keep(UploadedFile $file, array $with = []): self
    {
        $key = (string) Str::ulid();
        File::ensureDirectoryExists(storage_path('app/texts'));
        $name = mb_strimwidth(basename($file->getClientOriginalName()), 0, 80);
        File::put(
            storage_path("app/texts/$key.json"),
            (string) json_encode(['name' => mb_scrub($name), 'with' => $with]),
        );
        $file->move(storage_path('app/texts'), "$key.txt");

        return new self($key, $name, (string) File::get(storage_path("app/texts/$key.txt")), $with);
    }

    /** @param  array<string, string>  $with */
    public static function text(string $text, array $with = []): self
    {
        $key = (string) Str::ulid();
        File::ensureDirectoryExists(storage_path('app/texts'));
        File::put(storage_path("app/texts/$key.json"), (string) json_encode(['name' => 'typed', 'with' => $with]));
        File::put(storage_path("app/texts/$key.txt"), $text);

        return new self($key, 'typed', $text, $with);
    }

    public static function find(string $key): self
    {
        $file = storage_path("app/texts/$key.txt");
        abort_unless(Str::isUlid($key) && is_file($file), 404);
        $about = (array) json_decode((string) File::get(storage_path("app/texts/$key.json")), true);

        return new self(
            $key,
            (string) ($about['name'] ?? 'file'),
            (string) File::get($file),
            array_map(strval(...), (array) ($about['with'] ?? [])),
        );
    }

    public function forget(): void
    {
        File::delete([storage_path("app/texts/$this->key.txt"), storage_path("app/texts/$this->key.json")]);
    }
}
