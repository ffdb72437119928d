<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;

/**
 * One dated member of a series.
 *
 * @property int $id
 * @property int $series_id
 * @property string $day the day it is held on
 * @property string|null $moved_from the day of the pattern, where it was moved
 * @property Carbon $starts_at
 * @property Carbon $ends_at
 * @property SessionState $state
 * @property string|null $reason
 * @property bool $is_extra
 * @property string|null $makes_up the day of the session that an extra one makes up
 * @property string|null $topic
 * @property string|null $title
 * @property string|null $note
 * @property int|null $teacher_id who teaches this one instead
 * @property int|null $host_account_id
 * @property array<string, mixed>|null $door what this one's door has that the series' has not
 * @property array<string, mixed>|null $floor
 * @property string|null $cancelled why it is cancelled; it stays so while its day is closed
 * @property bool $keeps_topic
 * @property bool $takes_topic false where no topic of the series' list is laid over it
 * @property list<int>|null $chosen ids of the students whom it is for; null for the whole roster
 * @property Person|null $teacher
 * @property Series $series
 */
final class Session extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = [
        'starts_at' => 'datetime',
        'ends_at' => 'datetime',
        'state' => SessionState::class,
        'is_extra' => 'boolean',
        'keeps_topic' => 'boolean',
        'takes_topic' => 'boolean',
        'door' => 'array',
        'floor' => 'array',
        'chosen' => 'array',
    ];

    /** @return BelongsTo<Series, $this> */
    public function series(): BelongsTo
    {
        return $this->belongsTo(Series::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function teacher(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'teacher_id');
    }

    public function toCore(): PlannedSession
    {
        return self::core(
            $this->getAttributes(),
            (int) $this->starts_at->timestamp,
            (int) $this->ends_at->timestamp,
            $this->relationLoaded('teacher') ? $this->teacher?->shortName() : null,
        );
    }

    /**
     * A row of the table as core/ computes with it.
     *
     * @param  array<string, mixed>  $row
     */
    public static function core(array $row, int $start, int $end, ?string $teacher = null): PlannedSession
    {
        // A term has a hundred days, and a school tens of thousands of sessions on them.
        static $known = [];
        $day = function (mixed $iso) use (&$known): ?int {
            return $iso === null ? null : ($known[(string) $iso] ??= LocalDate::parse((string) $iso)->day);
        };
        $own = new SessionOverrides(
            $day($row['moved_from'] ?? null),
            (bool) ($row['is_extra'] ?? false),
            $day($row['makes_up'] ?? null),
            $row['title'] ?? null,
            $row['note'] ?? null,
            isset($row['teacher_id']) ? (int) $row['teacher_id'] : null,
            $row['topic'] ?? null,
            isset($row['host_account_id']) ? (int) $row['host_account_id'] : null,
            $teacher,
            self::plain($row['door'] ?? null),
            self::plain($row['floor'] ?? null),
            $row['cancelled'] ?? null,
            (bool) ($row['keeps_topic'] ?? false),
            self::chosen($row['chosen'] ?? null),
            (bool) ($row['takes_topic'] ?? true),
        );

        return new PlannedSession(
            (int) $day($row['day']),
            $start,
            $end,
            $row['state'] instanceof SessionState ? $row['state'] : SessionState::from($row['state']),
            $row['reason'] ?? null,
            $own->isEmpty() ? null : $own,
            isset($row['id']) ? (int) $row['id'] : null,
        );
    }

    /** @return array<string, mixed>|null */
    private static function plain(mixed $json): ?array
    {
        return $json === null ? null : (is_array($json) ? $json : (array) json_decode((string) $json, true));
    }

    /** @return list<int>|null */
    private static function chosen(mixed $json): ?array
    {
        $ids = self::plain($json);

        return $ids === null ? null : array_values(array_map(intval(...), $ids));
    }

    /**
     * A session as the table keeps it.
     *
     * @return array<string, mixed>
     */
    public static function row(PlannedSession $session, int $series): array
    {
        $iso = fn (?int $day): ?string => $day === null ? null : (new LocalDate($day))->iso();
        $own = $session->own;

        return [
            'series_id' => $series,
            'day' => $iso($session->day),
            'starts_at' => gmdate('Y-m-d H:i:sP', $session->start),
            'ends_at' => gmdate('Y-m-d H:i:sP', $session->end),
            'state' => $session->state->value,
            'reason' => $session->reason,
            'moved_from' => $iso($own?->slot),
            'is_extra' => $session->isExtra(),
            'makes_up' => $iso($own?->makesUp),
            'topic' => $own?->topic,
            'title' => $own?->title,
            'note' => $own?->note,
            'teacher_id' => $own?->teacher,
            'host_account_id' => $own?->account,
            'door' => $own?->door === null ? null : json_encode($own->door),
            'floor' => $own?->floor === null ? null : json_encode($own->floor),
            'cancelled' => $own?->cancelled,
            'keeps_topic' => $own->keepsTopic ?? false,
            'takes_topic' => $own->takesTopic ?? true,
            'chosen' => $own?->chosen === null ? null : json_encode($own->chosen),
        ];
    }

    /** With what its live room needs: the term's calendar and the account that hosts it. */
    public static function forRoom(int $id): self
    {
        return self::query()
            ->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])
            ->findOrFail($id);
    }
}
