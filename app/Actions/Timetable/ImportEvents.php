<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\Calendar\ReadEvent;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * Takes events of a calendar as series of sections, or as times at which a teacher is busy. The same event again
 * changes the series that it made before, or nothing where it is the same.
 */
final readonly class ImportEvents
{
    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private FollowSeries $follow,
        private SeriesHistory $history,
    ) {
    }

    /**
     * @param  list<array{event: ReadEvent, section: Section|null}>  $chosen  without a section the event's times are
     *   the teacher's busy ones
     * @return array{added: int, changed: int, same: int, busy: int}
     */
    public function __invoke(array $chosen, ?Person $teacher, ?Person $by): array
    {
        return DB::transaction(function () use ($chosen, $teacher, $by): array {
            $sum = ['added' => 0, 'changed' => 0, 'same' => 0, 'busy' => 0];
            foreach ($chosen as ['event' => $event, 'section' => $section]) {
                if ($section !== null && $event->plan !== null) {
                    $sum[$this->series($event, $event->plan, $section, $by)]++;
                } elseif ($section === null && $teacher !== null) {
                    $sum['busy'] += $this->busy($event, $teacher);
                }
            }

            return $sum;
        });
    }

    /** @return 'added'|'changed'|'same' */
    private function series(ReadEvent $event, SeriesPlan $plan, Section $section, ?Person $by): string
    {
        $term = $section->term->calendar();
        $series = self::known($event->uid, $section->id);
        $now = Carbon::createFromTimestamp($this->clock->seconds());
        if ($series === null) {
            $series = Series::query()->create([
                ...Series::columns($plan),
                'section_id' => $section->id,
                'title' => $this->title($event, $section),
                'uid' => (string) Str::uuid(),
                'source_uid' => $event->uid,
                'changed_at' => $now,
            ]);
            $series->setRelation('section', $section);
            $this->lay->write($series, $event->over($term));
            $this->history->record($series, $by, new Said('history.read', ['plan' => $plan->said()]), []);
            ($this->follow)($series, false);

            return 'added';
        }
        if ($this->isSame($series, $event, $term)) {
            return 'same';
        }
        $before = $this->history->snapshot($series->id);
        $series->setRelation('section', $section);
        $series->fill([...Series::columns($plan), 'earlier' => []])->save();
        $this->lay->write($series, $event->over($term));
        $this->history->record($series, $by, new Said('history.read_again', ['plan' => $plan->said()]), $before);
        ($this->follow)($series);

        return 'changed';
    }

    /** The series that an event made before, or that it was written from. */
    public static function known(string $uid, int $section): ?Series
    {
        return Series::query()
            ->where('section_id', $section)
            ->where(
                fn ($q) => $q
                    ->where('source_uid', $uid)
                    ->when(Str::isUuid($uid), fn ($q) => $q->orWhere('uid', $uid)),
            )
            ->first();
    }

    /** Whether the sessions to come are those of the event. */
    public function isSame(Series $series, ReadEvent $event, Term $term): bool
    {
        $now = $this->clock->seconds();
        $spans = fn (array $sessions): array => array_values(
            array_map(
                fn ($s): string => "$s->start $s->end",
                array_filter($sessions, fn ($s): bool => $s->start > $now && $s->state->value === 'planned'),
            ),
        );

        return $spans($this->lay->standing($series->id)) === $spans($event->over($term));
    }

    private function title(ReadEvent $event, Section $section): string
    {
        $title = mb_strimwidth($event->summary === '' ? $section->title : $event->summary, 0, 110, '…');
        $taken = Series::query()->where('section_id', $section->id)->pluck('title')->flip();
        for ($n = 1; $taken->has($n === 1 ? $title : "$title $n"); $n++) {
            continue;
        }

        return $n === 1 ? $title : "$title $n";
    }

    private function busy(ReadEvent $event, Person $teacher): int
    {
        DB::table('busy_blocks')->where('person_id', $teacher->id)->where('uid', $event->uid)->delete();
        $rows = array_map(
            fn (array $span): array => [
                'person_id' => $teacher->id,
                'uid' => $event->uid,
                'title' => mb_strimwidth($event->summary === '' ? 'Busy' : $event->summary, 0, 160, '…'),
                'starts_at' => gmdate('Y-m-d H:i:sP', $span[0]),
                'ends_at' => gmdate('Y-m-d H:i:sP', $span[1]),
            ],
            $event->spans(),
        );
        foreach (array_chunk($rows, 500) as $chunk) {
            DB::table('busy_blocks')->insertOrIgnore($chunk);
        }

        return count($rows);
    }
}
