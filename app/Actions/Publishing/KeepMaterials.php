<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Http\File;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\MaterialFacts;
use Throwable;

/** Adds and takes out what students of a section need; it is with its item after the next publish run. */
final readonly class KeepMaterials
{
    /** Of config/filesystems.php. */
    public const DISK = 'materials';

    /** Of one section; more nobody reads. */
    private const MOST = 200;

    public function __construct(private RefreshPlacements $refresh, private Audit $audit)
    {
    }

    /**
     * @param  int|null  $session  of which one it is; null for the whole section
     *
     * @throws Fault
     */
    public function add(Section $section, ?int $session, string $title, string $address, Person $by): void
    {
        $this->keep($section, $session, MaterialFacts::typed($title, $address), $by);
    }

    /**
     * A file of one's own: it lies on our disk, and its address is ours.
     *
     * @throws Fault
     */
    public function addFile(
        Section $section,
        ?int $session,
        string $title,
        File $file,
        string $called,
        Person $by,
    ): void {
        $name = (string) Str::ulid();
        $called = mb_strimwidth(basename(mb_scrub($called)), 0, 160);
        $material = MaterialFacts::typed($title === '' ? $called : $title, route('material', $name));
        Storage::disk(self::DISK)->putFileAs('', $file, $name);
        try {
            $this->keep($section, $session, $material, $by, ['file' => $name, 'file_name' => $called]);
        } catch (Throwable $e) {
            Storage::disk(self::DISK)->delete($name);
            throw $e;
        }
    }

    /** @param  array{file?: string, file_name?: string}  $file */
    private function keep(
        Section $section,
        ?int $session,
        MaterialFacts $material,
        Person $by,
        array $file = [],
    ): void {
        DB::transaction(function () use ($section, $session, $material, $by, $file): void {
            $isTheirs =
                $session === null ||
                DB::table('sessions')
                    ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                    ->where('section_id', $section->id)
                    ->where('sessions.id', $session)
                    ->exists();
            if (! $isTheirs) {
                throw new Fault('material.session', 'material_session');
            }
            if (DB::table('materials')->where('section_id', $section->id)->count() >= self::MOST) {
                throw new Fault('material.most', 'material_title', ['n' => self::MOST]);
            }
            DB::table('materials')->insert([
                'section_id' => $section->id,
                'session_id' => $session,
                'title' => $material->title,
                'address' => $material->address,
                'created_by' => $by->id,
                'created_at' => now(),
                ...$file,
            ]);
            ($this->audit)('place', null, $by, new Said('audit.material', ['title' => $material->title]), $section);
            ($this->refresh)([$section->id]);
        });
    }

    public function remove(Section $section, int $material, Person $by): void
    {
        $file = DB::transaction(function () use ($section, $material, $by): ?string {
            $row = DB::table('materials')
                ->where(['id' => $material, 'section_id' => $section->id])
                ->first();
            abort_if($row === null, 404);
            DB::table('materials')->delete($material);
            ($this->audit)('place', null, $by, new Said('audit.no_material', ['title' => $row->title]), $section);
            ($this->refresh)([$section->id]);

            return $row->file;
        });
        if ($file !== null) {
            Storage::disk(self::DISK)->delete($file);
        }
    }

    /** Files that no row names any more, or never did: a worker was killed between the two. Those of a day ago. */
    public function tidy(): void
    {
        $disk = Storage::disk(self::DISK);
        foreach (array_chunk($disk->files(), 500) as $files) {
            $known = DB::table('materials')->whereIn('file', $files)->pluck('file')->all();
            foreach (array_diff($files, $known) as $file) {
                if ($disk->lastModified($file) < time() - 86400) {
                    $disk->delete($file);
                }
            }
        }
    }
}
