<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Locks;
use Nomada\App\Support\Say;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SeriesPlan;
use stdClass;

/**
 * What a form was drawn from: the values of its subject, by the names that its fields have in the form. A form carries
 * them; before anything is written, they are read again under the subject's lock.
 *
 * Subjects: `series:ID` (title and plan), `told:ID` and `place:ID` (of a session), `door:ID` and `door:ID:SESSION` (of
 * a series, and of one session), `registering:ID` (how students get into a series), `preset:KEY`,
 * `letter:KIND:LANGUAGE`, `hours:ID` and `rotation:ID` (of a term).
 */
final class FormVersion
{
    /** The field in which a form carries it. */
    public const NAME = '_drawn';

    /** What a form carries: its subject, and how that is. */
    public static function field(string $subject): string
    {
        return base64_encode((string) json_encode(['of' => $subject, 'was' => self::of($subject) ?? []]));
    }

    /**
     * The values as they are now; null where the subject is gone.
     *
     * @return array<string, string>|null
     */
    public static function of(string $subject): ?array
    {
        [$kind, $id, $more] = explode(':', $subject.'::');

        return match ($kind) {
            'series' => self::series((int) $id),
            'told', 'place' => self::session($kind, (int) $id),
            'door' => self::door((int) $id, $more === '' ? null : (int) $more),
            'preset' => self::preset($id),
            'letter' => self::letter($id, $more),
            'registering' => self::registering((int) $id),
            'hours', 'rotation' => self::term($kind, (int) $id),
            default => null,
        };
    }

    /** Locks the row behind a subject until the transaction ends, so that nobody else writes meanwhile. */
    public static function lock(string $subject): void
    {
        [$kind, $id] = explode(':', $subject.':');
        if (in_array($kind, ['series', 'door', 'registering', 'told', 'place'], true)) {
            $series = in_array($kind, ['series', 'door', 'registering'], true)
                ? (int) $id
                : (int) DB::table('sessions')->where('id', (int) $id)->value('series_id');
            Locks::timetableOf($series);
            Locks::series($series);
        } elseif (in_array($kind, ['hours', 'rotation'], true)) {
            Locks::timetable((int) $id);
        } else {
            DB::select('select pg_advisory_xact_lock(hashtextextended(?, 8))', [$subject]);
        }
    }

    /**
     * Who changed it last, when, and in what words; null where nobody is written down.
     *
     * @return array{string, int, string}|null
     */
    public static function last(string $subject): ?array
    {
        [$kind, $id, $more] = explode(':', $subject.'::');
        $series = in_array($kind, ['told', 'place'], true)
            ? (int) DB::table('sessions')->where('id', (int) $id)->value('series_id')
            : (int) $id;
        $row = match ($kind) {
            'series', 'told', 'place' => self::line('series_changes', 'series_id', $series),
            'door', 'registering' => self::line('audit_log', 'series_id', $series),
            'hours', 'rotation' => self::line('term_changes', 'term_id', (int) $id),
            'preset' => self::line('audit_log', 'kind', 'door'),
            'letter' => DB::table('templates')
                ->leftJoin('people', 'people.id', '=', 'updated_by')
                ->where('kind', $id)
                ->where('templates.language', $more)
                ->first([
                    'given_name',
                    'family_name',
                    DB::raw('extract(epoch from templates.updated_at)::bigint as at'),
                    DB::raw("'' as words"),
                ]),
            default => null,
        };

        return $row === null
            ? null
            : [trim("$row->given_name $row->family_name"), (int) $row->at, (string) $row->words];
    }

    private static function line(string $table, string $column, int|string $value): ?stdClass
    {
        return DB::table($table)
            ->leftJoin('people', 'people.id', '=', "$table.person_id")
            ->where("$table.$column", $value)
            ->orderByDesc("$table.id")
            ->first(['given_name', 'family_name', DB::raw("extract(epoch from $table.at)::bigint as at"), 'words']);
    }

    /** @return array<string, string>|null */
    private static function series(int $id): ?array
    {
        $series = Series::query()->find($id);

        return $series === null
            ? null
            : [
                'title' => $series->title,
                'plan' => (string) json_encode(
                    array_map(fn (SeriesPlan $p): array => $p->toArray(), $series->stretches()->plans),
                ),
            ];
    }

    /** @return array<string, string>|null */
    private static function session(string $kind, int $id): ?array
    {
        $session = Session::query()
            ->with(['teacher', 'series.section.term.school'])
            ->find($id);
        if ($session === null) {
            return null;
        }
        if ($kind === 'told') {
            return [
                'title' => (string) $session->title,
                'note' => (string) $session->note,
                'teacher' => (string) $session->teacher?->sourced_id,
            ];
        }
        $zone = Zone::named($session->series->section->term->school->time_zone);

        return [
            'move_day' => $zone->dateAt((int) $session->starts_at->timestamp)->iso(),
            'move_start' => $zone->clock((int) $session->starts_at->timestamp),
            'move_end' => $zone->clock((int) $session->ends_at->timestamp),
            'state' => $session->state->value,
        ];
    }

    /** @return array<string, string>|null */
    private static function door(int $id, ?int $session): ?array
    {
        $series = Series::query()->find($id);
        if ($series === null) {
            return null;
        }
        $one = $session === null ? null : Session::query()->where('series_id', $id)->find($session)?->toCore();

        return self::rules(...Presets::rules($series, Presets::all(), $one));
    }

    /** @return array<string, string>|null */
    private static function preset(string $key): ?array
    {
        $preset = Presets::all()[$key] ?? null;

        return $preset === null
            ? null
            : ['preset_name' => Say::put($preset->name)] + self::rules($preset->door, $preset->floor);
    }

    /** @return array<string, string> */
    private static function rules(DoorRules $door, Floor $floor): array
    {
        return array_map(
            fn (mixed $v): string => is_bool($v) ? ($v ? '1' : '') : (string) $v,
            $door->toArray() + $floor->toArray(),
        );
    }

    /** @return array<string, string>|null */
    private static function registering(int $id): ?array
    {
        $series = Series::query()->find($id);
        if ($series === null) {
            return null;
        }
        $is = $series->registering === null ? null : Registering::from($series->registering);

        return [
            'mode' => $is === null ? 'roster' : ($is->each ? 'each' : 'once'),
            'accepts_certain' => $is?->acceptsCertain === true ? '1' : '',
            'opens_on' => (string) $is?->opens?->iso(),
            'closes_on' => (string) $is?->closes?->iso(),
            'seats' => (string) $is?->seats,
        ];
    }

    /** @return array<string, string>|null */
    private static function letter(string $kind, string $language): ?array
    {
        $known = Templates::kind($kind);
        if ($known === null || ! in_array($language, Templates::languages(), true)) {
            return null;
        }
        $template = Templates::of($known, $language);

        return ['subject' => $template->subject, 'text' => $template->text];
    }

    /** @return array<string, string>|null */
    private static function term(string $kind, int $id): ?array
    {
        $term = Term::query()->find($id);
        if ($term === null) {
            return null;
        }

        return $kind === 'rotation'
            ? ['rotation' => (string) json_encode($term->rotation)]
            : [
                'opens' => TypedTime::format($term->opens_minute),
                'closes' => TypedTime::format($term->closes_minute),
            ];
    }
}
