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

/**
 * Gives a file of a section to anybody who has a part in it, or will have; anybody who has left gets it no more. Nobody
 * else learns that there is one.
 */
final readonly class HandOutMaterial
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array{string, string} where it lies on the disk of materials, and its name */
    public function __invoke(string $file, Person $for): array
    {
        $material = DB::table('materials')
            ->where('file', $file)
            ->first(['section_id', 'file', 'file_name']);
        abort_if($material === null || ! $this->isTheirs((int) $material->section_id, $for), 404);
        abort_unless(Storage::disk(KeepMaterials::DISK)->exists($material->file), 404);

        return [(string) $material->file, (string) $material->file_name];
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
