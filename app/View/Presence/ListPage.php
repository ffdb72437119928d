<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Nomada\App\Actions\Presence\ReadList;
use Nomada\App\Actions\Presence\RememberColumns;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\SheetText;
use Nomada\App\Support\StagedText;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\PresenceList;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Builds the preview of a list, with the columns that were chosen, or remembered, or known by their names. */
final readonly class ListPage
{
    public function __construct(private ReadList $lists)
    {
    }

    /**
     * @param  array<string, string>  $chosen  heads by what they are
     *
     * @throws Fault where the file cannot be read, or the section has no session on that day
     */
    public function of(Section $section, StagedText $kept, array $chosen): ListPreview
    {
        $text = SheetText::of($kept->text);
        $heads = PresenceList::heads($text);
        $columns = $chosen;
        if ($columns === []) {
            $columns = RememberColumns::of($heads) ?? PresenceList::known($heads);
        }
        $columns = array_filter($columns, fn (string $head): bool => in_array($head, $heads, true));
        $day = LocalDate::parse($kept->with['day'] ?? '');
        $zone = Zone::named($kept->with['zone'] ?? $section->term->school->time_zone);
        $wrong = PresenceList::wrong($columns);
        $look = $wrong === null ? $this->lists->look($section, $day, $kept->name, $text, $columns, $zone) : null;
        $near = [];
        foreach ($look === null ? [] : $look->open as [, $ids]) {
            array_push($near, ...$ids);
        }

        return new ListPreview(
            $section,
            $kept->key,
            $kept->name,
            $day,
            $zone,
            $heads,
            $columns,
            $wrong === null ? null : (string) __("staff_faults.$wrong"),
            $look,
            Person::query()
                ->whereIn(
                    'id',
                    $section
                        ->memberships()
                        ->whereIn('role', MembershipRole::ATTENDING)
                        ->select('person_id'),
                )
                ->orWhereIn('sourced_id', $near)
                ->orderBy('family_name')
                ->get()
                ->mapWithKeys(fn (Person $p): array => [$p->sourced_id => $p->name()])
                ->all(),
        );
    }
}
