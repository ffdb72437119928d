<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\SessionRole;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Gives a file of a section to whoever has a part in it, or will have; whoever has left gets it no more. Nobody else
 * learns that there is one. It is saved and never opened within our pages, whatever it says it is.
 */
final readonly class HandOutMaterial
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(string $file, Person $for): StreamedResponse
    {
        $material = DB::table('materials')
            ->where('file', $file)
            ->first(['section_id', 'file', 'file_name']);
        abort_if($material === null || ! $this->isTheirs((int) $material->section_id, $for), 404);
        $disk = Storage::disk(KeepMaterials::DISK);
        abort_unless($disk->exists($material->file), 404);

        return $disk->download($material->file, $material->file_name, [
            'Content-Type' => 'application/octet-stream',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    private function isTheirs(int $section, Person $for): bool
    {
        if ($for->can('view', Section::query()->findOrFail($section))) {
            return true;
        }
        $today = $this->clock->schoolDay()->day;
        foreach (
            [$for->id, ...DB::table('guardianships')->where('guardian_id', $for->id)->pluck('student_id')] as $person
        ) {
            $standing = Belongings::of((int) $person, [$section])->on($today);
            if (in_array($standing, [SessionRole::Student, SessionRole::Ahead], true)) {
                return true;
            }
        }

        return false;
    }
}
