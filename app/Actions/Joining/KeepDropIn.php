<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;
use Nomada\Core\Joining\JoinCode;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Language\Said;

/**
 * Makes, changes, hides, gives another link to and takes out a section's drop-in room. Each is in the audit log, and
 * what is published of it is stale.
 */
final readonly class KeepDropIn
{
    public function __construct(
        private ConferenceBridge $bridge,
        private RefreshPlacements $refresh,
        private Audit $audit,
    ) {
    }

    /**
     * @param  string  $uid  of the form that asks: pressed twice, one room is made
     *
     * @throws Fault
     * @throws DestinationFailure in the bridge's own words
     */
    public function make(
        Section $section,
        string $uid,
        string $name,
        OpeningHours $hours,
        string $preset,
        Person $by,
    ): DropInRoom {
        $this->check($section, $name, $preset, null, $uid);
        $room = $this->bridge->makeRoom("drop-in $uid", "$name, {$section->name()}");

        return DB::transaction(function () use ($section, $uid, $name, $hours, $preset, $room, $by): DropInRoom {
            $secret = LinkSecret::make(Secrets::random());
            $code = JoinCode::make(Secrets::random());
            $made = DB::table('drop_in_rooms')->insertOrIgnore([
                'section_id' => $section->id,
                'uid' => $uid,
                'name' => $name,
                'hours' => json_encode($hours->spans),
                'preset' => $preset,
                'secret' => encrypt($secret, false),
                'secret_hash' => Secrets::sum($secret),
                'join_code' => encrypt($code, false),
                'code_hash' => Secrets::sum($code, 'code'),
                'room' => $room->id,
                'dial_in' => $room->dialIn,
                'pin' => encrypt($room->pin, false),
                'created_at' => now(),
                'updated_at' => now(),
            ]);
            if ($made === 1) {
                ($this->audit)('link', null, $by, new Said('audit.room_made', [
                    'room' => $name,
                    'hours' => $hours->words(),
                ]), $section);
                ($this->refresh)([$section->id]);
            }

            return DropInRoom::query()->where('uid', $uid)->firstOrFail();
        });
    }

    /** @throws Fault */
    public function change(DropInRoom $room, string $name, OpeningHours $hours, string $preset, Person $by): void
    {
        $this->check($room->section, $name, $preset, $room->id);
        $this->keep(
            $room,
            ['name' => $name, 'hours' => $hours->spans, 'preset' => $preset],
            'door',
            new Said('audit.room_changed', [
                'room' => $name,
                'hours' => $hours->words(),
                'preset' => Presets::all()[$preset]->name,
            ]),
            $by,
        );
    }

    public function hide(DropInRoom $room, bool $hidden, Person $by): void
    {
        $this->keep(
            $room,
            ['is_hidden' => $hidden],
            'link',
            new Said($hidden ? 'audit.room_hidden' : 'audit.room_shown', ['room' => $room->name]),
            $by,
        );
    }

    /** The old link and code die at once. */
    public function replace(DropInRoom $room, Person $by): void
    {
        DB::transaction(function () use ($room, $by): void {
            // Locked and read again: of two who replace it at once, the second retires the first one's link.
            $now = DropInRoom::query()
                ->with(['section.term.school', 'section.term.closures'])
                ->lock('for no key update')
                ->findOrFail($room->id);
            $secret = LinkSecret::make(Secrets::random());
            $this->keep(
                $now,
                [
                    'secret' => $secret,
                    'secret_hash' => Secrets::sum($secret),
                    'retired_hashes' => [...$now->retired_hashes, $now->secret_hash],
                    'join_code' => JoinCode::make(Secrets::random()),
                ],
                'link',
                new Said('audit.room_replaced', ['room' => $now->name]),
                $by,
            );
        });
    }

    public function drop(DropInRoom $room, Person $by): void
    {
        DB::transaction(function () use ($room, $by): void {
            $room->delete();
            ($this->audit)('link', null, $by, new Said('audit.room_out', ['room' => $room->name]), $room->section);
            ($this->refresh)([$room->section_id]);
        });
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  'door'|'link'  $kind
     */
    private function keep(DropInRoom $room, array $columns, string $kind, Said $said, Person $by): void
    {
        DB::transaction(function () use ($room, $columns, $kind, $said, $by): void {
            $room->update($columns);
            ($this->audit)($kind, null, $by, $said, $room->section);
            ($this->refresh)([$room->section_id]);
        });
    }

    private function check(Section $section, string $name, string $preset, ?int $but, string $uid = ''): void
    {
        if (! isset(Presets::all()[$preset])) {
            throw new Fault('preset.none', 'preset');
        }
        if (
            DropInRoom::query()
                ->where('section_id', $section->id)
                ->where('name', $name)
                ->where('uid', '!=', $uid)
                ->when($but !== null, fn ($q) => $q->whereKeyNot($but))
                ->exists()
        ) {
            throw new Fault('drop_in.twice', 'name', ['section' => $section->name(), 'name' => $name]);
        }
    }

    public static function uid(): string
    {
        return (string) Str::uuid();
    }
}
