<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Destinations\FieldWords;
use Nomada\App\Support\Say;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;

/**
 * Items of one place of which the same is planned, in the same words.
 *
 * @phpstan-import-type Item from PlanQuery
 */
final readonly class PlanGroup
{
    /** How many other items, and how many problems, are named. */
    private const OTHERS = 5;

    private const TROUBLES = 3;

    /**
     * @param  'add'|'change'|'remove'|'leave'  $verb
     * @param  string  $first  what the first is called; $last the last one, $count how many they are
     * @param  bool  $isOfPeople  each is somebody's own calendar
     * @param  list<PlanField>  $fields
     * @param  list<string>  $others  what others are called; not shown of a change
     * @param  array<string, string>  $troubles  what the place said last time, by what it is called
     */
    private function __construct(
        public string $verb,
        public bool $isOpen,
        public int $count,
        public string $first,
        public string $last,
        public bool $isOfPeople,
        public array $fields,
        public array $others,
        public array $troubles,
    ) {
    }

    /** @param  non-empty-list<Item>  $items */
    public static function of(Place $place, string $verb, array $items, bool $isOpen): self
    {
        $isOfPeople = $place === Place::Calendar;
        $labels = array_map(
            fn (array $item): string => Say::this(ItemName::of($place, $item['key'], $item['label'])),
            $items,
        );

        return new self(
            match ($verb) {
                'add', 'change', 'remove' => $verb,
                default => 'leave',
            },
            $isOpen,
            count($items),
            $labels[0],
            $labels[count($labels) - 1],
            $isOfPeople,
            $verb === 'change' ? self::changes($items[0]) : self::fields($items[0], $isOfPeople),
            $verb === 'change' ? [] : array_slice($labels, 1),
            array_slice(
                array_filter(
                    array_combine($labels, array_column($items, 'trouble')),
                    fn (?string $s): bool => $s !== null,
                ),
                0,
                self::TROUBLES,
            ),
        );
    }

    /** @return list<string> */
    public function named(): array
    {
        return array_slice($this->others, 0, self::OTHERS);
    }

    /**
     * @param  Item  $item
     * @return list<PlanField>
     */
    private static function changes(array $item): array
    {
        return array_map(
            fn (FieldChange $c): PlanField => new PlanField(
                FieldWords::of($c->field, $item['of']),
                $c->before === '' ? '' : FieldWords::changed($c, $c->before),
                $c->after === '' ? '' : FieldWords::changed($c, $c->after),
            ),
            $item['changes'],
        );
    }

    /**
     * @param  Item  $item
     * @return list<PlanField>
     */
    private static function fields(array $item, bool $isOfPeople): array
    {
        $out = [];
        foreach ($item['fields'] as $code => $value) {
            $out[] = new PlanField(
                FieldWords::of($code, $item['of']),
                '',
                $isOfPeople && $code === 'link' ? __('publishing.shown.own') : FieldWords::shown($code, $value),
            );
        }

        return $out;
    }
}
