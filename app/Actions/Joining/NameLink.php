<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\ShortAddress;
use Nomada\Core\Language\Said;

/**
 * Gives a series' link a memorable address, or takes it out. With nothing typed, one is made of the section's words.
 */
final readonly class NameLink
{
    public function __construct(private Audit $audit)
    {
    }

    /** @throws Fault where it is taken, or would reveal a student */
    public function __invoke(Series $series, string $typed, ?Person $by): void
    {
        $link =
            JoinLink::query()
                ->inForce()
                ->where('series_id', $series->id)
                ->where('kind', LinkKind::Series)
                ->first() ?? throw new Fault('address.link', 'short_address');
        $isTaken = fn (string $slug): bool => JoinLink::query()
            ->where('short_address', $slug)
            ->whereKeyNot($link->id)
            ->exists();
        $names = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', $series->sectionIds())
            ->where('memberships.role', MembershipRole::Student)
            ->pluck(DB::raw("given_name || ' ' || family_name as name"))
            ->all();
        if (trim($typed) === '') {
            $link->update([
                'short_address' => $link->short_address === null
                        ? ShortAddress::suggest($series->section->name(), $series->title, $isTaken)
                        : null,
            ]);
        } else {
            $slug = ShortAddress::read($typed, array_values(array_map(strval(...), $names)));
            if ($isTaken($slug)) {
                throw new Fault('address.taken', 'short_address', ['slug' => $slug]);
            }
            $link->update(['short_address' => $slug]);
        }
        ($this->audit)(
            'link',
            $series,
            $by,
            $link->short_address === null
                ? new Said('audit.no_address')
                : new Said('audit.address', ['address' => $link->short_address]),
        );
    }
}
