<?php

declare(strict_types=1);

namespace Nomada\App\View\Conflict;

use Illuminate\Http\Request;
use Nomada\App\Models\Term\School;
use Nomada\App\Queries\FormVersion;
use Nomada\App\Queries\IdempotencyKey;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\SeriesPlan;
use Throwable;

/**
 * Somebody else has saved while a form was open: what each of the two wrote, side by side, and what can be done about
 * it: theirs, mine, or both where they do not touch.
 */
final readonly class ConflictPage
{
    /** Values that a form has in many fields: they are compared as a whole. */
    private const WHOLE = ['plan', 'rotation', 'state'];

    /**
     * @param  list<ConflictRow>  $rows
     * @param  array<string, mixed>  $mine  the form once more, drawn from what is now
     * @param  array<string, mixed>|null  $both  the form with their values where only they changed; null where they
     *   touch
     */
    private function __construct(
        public ?string $who,
        public ?string $when,
        public string $words,
        public array $rows,
        public string $action,
        public string $method,
        public string $back,
        public array $mine,
        public ?array $both,
    ) {
    }

    /**
     * @param  array<string, string>  $was  as the form was drawn
     * @param  array<string, string>  $is  as it is now
     */
    public static function of(Request $request, string $subject, array $was, array $is): self
    {
        $zone = Zone::named((string) (School::query()->orderBy('id')->value('time_zone') ?? 'UTC'));
        $rows = $theirs = [];
        $touches = false;
        foreach ($is as $field => $value) {
            $isWhole = in_array($field, self::WHOLE, true);
            $mine = $isWhole ? null : self::typed($request, $field);
            $byThem = $value !== ($was[$field] ?? '');
            $byMe = $isWhole ? self::touchesWhole($request, $field, $is) : $mine !== ($was[$field] ?? '');
            if (($byThem || $byMe) && $mine !== $value) {
                $rows[] = new ConflictRow(
                    $field,
                    self::shown($field, $value),
                    $byMe
                        ? $mine ?? ($field === 'plan' ? self::typedPlan($request) : '')
                        : self::shown($field, $was[$field] ?? ''),
                    $byThem,
                    $byMe,
                );
            }
            $touches = $touches || ($byThem && $byMe && $mine !== $value);
            if ($byThem && ! $byMe) {
                $theirs[$field] = $value;
            }
        }
        // What only this form changes, though the other was saved too, is no conflict where nothing of it was
        // overwritten.
        $rows = array_filter($rows, fn (ConflictRow $r): bool => $r->byThem) === [] ? [] : $rows;
        $last = FormVersion::last($subject);
        $form = $request->except(['_token', IdempotencyKey::NAME, FormVersion::NAME, '_method']);
        $form[FormVersion::NAME] = FormVersion::field($subject);

        return new self(
            $last === null || $last[0] === '' ? null : $last[0],
            $last === null ? null : Say::day($zone->dateAt($last[1])).' '.$zone->clock($last[1]),
            $last[2] ?? '',
            $rows,
            self::address($request),
            $request->method(),
            url()->previous(),
            $form,
            $touches ? null : self::merged($form, $theirs),
        );
    }

    /** The form's own address, with its term. */
    private static function address(Request $request): string
    {
        $route = $request->route();

        return $route === null ? $request->url() : route((string) $route->getName(), $route->originalParameters());
    }

    /** What was typed into a field; an unticked box sends nothing. */
    private static function typed(Request $request, string $field): string
    {
        $value = $request->input($field);
        $text = is_scalar($value) ? trim((string) $value) : '';

        return str_replace("\r\n", "\n", $text);
    }

    /** When a series would meet as it was typed, which may not be readable yet; empty where that has no short words. */
    private static function typedPlan(Request $request): string
    {
        $at =
            $request->input('at') === 'period'
                ? 'period '.self::typed($request, 'period')
                : self::typed($request, 'start_time').'–'.self::typed($request, 'end_time');
        $typed = array_map(
            fn (mixed $n): int => is_numeric($n) ? (int) $n : 0,
            (array) $request->input('weekdays', []),
        );
        $weekdays = array_map(
            fn (int $n): string => Say::this(Said::weekday($n)),
            array_intersect(range(1, 7), $typed),
        );

        return $request->input('kind') === 'weekly' ? trim(implode(' ', $weekdays)." $at") : $at;
    }

    /**
     * Whether the form changes what has many fields. The editor of a series sends its plan whole, whether touched or
     * not: it is asked by what it sends of its drawn plan.
     *
     * @param  array<string, string>  $is
     */
    private static function touchesWhole(Request $request, string $field, array $is): bool
    {
        return $field !== 'plan' || $request->input('plan_touched') !== '0';
    }

    /**
     * @param  array<string, mixed>  $form
     * @param  array<string, string>  $theirs
     * @return array<string, mixed>
     */
    private static function merged(array $form, array $theirs): array
    {
        if (isset($theirs['plan'])) {
            $form['keep_plan'] = '1';
            unset($theirs['plan']);
        }

        return [...$form, ...$theirs];
    }

    /** @param  array<mixed>  $plans */
    private static function sentence(array $plans): string
    {
        $read = array_values(array_map(fn (mixed $p): SeriesPlan => SeriesPlan::from((array) $p), $plans));

        return $read === [] ? '' : Say::this((new PlanHistory($read))->said());
    }

    /** A value as a person reads it. */
    private static function shown(string $field, string $value): string
    {
        try {
            return match ($field) {
                'plan' => self::sentence((array) json_decode($value, true)),
                'rotation' => $value === 'null'
                    ? '–'
                    : implode(', ', Rotation::from((array) json_decode($value, true))->labels()),
                'move_day' => Say::day(LocalDate::parse($value)),
                default => $value,
            };
        } catch (Throwable) {
            return $value;
        }
    }
}
