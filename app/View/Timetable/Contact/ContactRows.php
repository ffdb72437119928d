<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Contact;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\ContactTimes;
use Nomada\App\Support\Order;
use Nomada\App\View\Timetable\Teachers;

/** The sections that somebody sees, each with its teacher and its contact time. */
final readonly class ContactRows
{
    public function __construct(private ContactTimes $times)
    {
    }

    /**
     * @param  list<string>|null  $only  sections' sourcedIds
     * @return list<ContactRow>
     */
    public function __invoke(Term $term, Person $for, string $year = '', ?array $only = null): array
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->seenBy($for)
            ->when($year !== '', fn ($q) => $q->where('year', $year))
            ->when($only !== null, fn ($q) => $q->whereIn('sourced_id', $only))
            ->toBase()
            ->get(['id', 'sourced_id', 'title', 'year', 'target_minutes']);
        $ids = array_values(array_map(intval(...), $sections->pluck('id')->all()));
        $times = $this->times->of($ids, $sections->pluck('target_minutes', 'id')->all());
        $teachers = Teachers::of($ids);
        $rows = $sections
            ->map(
                fn (\stdClass $s): ContactRow => new ContactRow(
                    (string) $s->sourced_id,
                    Section::called($s->year, $s->title),
                    (string) $s->year,
                    $teachers[$s->id] ?? '',
                    $times[$s->id]['n'],
                    $times[$s->id]['time'],
                ),
            )
            ->all();

        return Order::rows($rows, fn (ContactRow $r): array => [(int) $r->year, Order::key($r->name), $r->id]);
    }
}
