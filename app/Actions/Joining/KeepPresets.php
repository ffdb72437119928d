<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshSections;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Joining\ShortAddress;
use Nomada\Core\Language\Said;

/** The school's own presets. One that is changed reaches every series that follows it. */
final readonly class KeepPresets
{
    public function __construct(private Audit $audit)
    {
    }

    /**
     * Makes a preset, or changes one: what it is called may change, its key stays.
     *
     * @param  string  $changes  the key of the one that is changed; empty for a new one
     *
     * @throws Fault where the name is empty, one of the usual ones, or another preset's
     */
    public function __invoke(string $name, DoorRules $door, Floor $floor, Person $by, string $changes = ''): void
    {
        $key = $changes === '' ? mb_substr(ShortAddress::slug($name), 0, 40) : $changes;
        if ($key === '') {
            throw new Fault('preset.name', 'preset_name');
        }
        if ($this->isUsual($key) || $this->isUsual(ShortAddress::slug($name))) {
            throw new Fault('preset.usual', 'preset_name', ['name' => $name]);
        }
        DB::transaction(function () use ($key, $name, $door, $floor, $by, $changes): void {
            DB::select('select pg_advisory_xact_lock(hashtextextended(?, 8))', ["preset:$key"]);
            $isNew = ! DB::table('presets')->where('key', $key)->exists();
            if ($isNew !== ($changes === '')) {
                throw new Fault($isNew ? 'preset.gone' : 'preset.taken', 'preset_name', ['name' => $name]);
            }
            DB::table('presets')->upsert(
                [
                    [
                        'key' => $key,
                        'name' => trim($name),
                        'door' => json_encode($door->toArray()),
                        'floor' => json_encode($floor->toArray()),
                        'created_at' => now(),
                        'updated_at' => now(),
                    ],
                ],
                'key',
                ['name', 'door', 'floor', 'updated_at'],
            );
            ($this->audit)(
                'door',
                null,
                $by,
                new Said($isNew ? 'audit.preset_made' : 'audit.preset_changed', [
                    'preset' => $name,
                    'does' => Preset::say($door, $floor),
                ]),
            );
            // When the doors open is told at the destinations.
            $sections = DB::table('series_sections')
                ->join('series', 'series.id', '=', 'series_id')
                ->where('preset', $key)
                ->distinct()
                ->pluck('series_sections.section_id');
            RefreshSections::later($sections);
        });
    }

    /** @throws Fault where series go by it */
    public function drop(string $key, Person $by): void
    {
        $n = DB::table('series')->where('preset', $key)->count();
        if ($n > 0) {
            throw new Fault('preset.series', 'preset_name', ['n' => $n]);
        }
        $rooms = DB::table('drop_in_rooms')->where('preset', $key)->count();
        if ($rooms > 0) {
            throw new Fault('preset.rooms', 'preset_name', ['n' => $rooms]);
        }
        $name = DB::table('presets')->where('key', $key)->value('name');
        if (DB::table('presets')->where('key', $key)->delete() > 0) {
            ($this->audit)('door', null, $by, new Said('audit.preset_out', ['preset' => $name]));
        }
    }

    /** Whether a usual one is known by that, or called so in the language of the person who types it. */
    private function isUsual(string $slug): bool
    {
        $names = array_map(fn (Preset $p): string => ShortAddress::slug(Say::put($p->name)), Preset::usual());

        return isset($names[$slug]) || in_array($slug, $names, true);
    }
}
