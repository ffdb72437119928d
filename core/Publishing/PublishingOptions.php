<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Fault;
use Nomada\Core\Language\ReaderLanguage;
use Nomada\Core\Term\Term;

/**
 * How a section's items are shown at the destinations: in which language, where on the course page, from when till
 * when, how much of each session, who may answer, and for whom. What a place cannot do it leaves out.
 */
final readonly class PublishingOptions
{
    public const MOST_DAYS = 120;

    /** Who may answer a post: nobody, students by answers, students by answers and posts of their own. */
    public const ANSWERS = ['nobody', 'answers', 'posts'];

    /** A position: on top, in its week's block, or after an item of somebody else's, by that item's id. */
    private const POSITION = '/^(top|week|after \S.{0,199})$/uD';

    /**
     * @param  string  $language  BCP 47
     * @param  string  $next  the position of the next session: `top`, or `after ITEM`
     * @param  string  $weeks  the position of a week's item: `week`, `top`, or `after ITEM`
     * @param  int|null  $from  from how many days before its week a week's item is shown; null for always
     * @param  int|null  $till  till how many days after its week; null for ever
     * @param  string|null  $answers  one of ANSWERS; null for as the place has it
     * @param  list<string>|null  $for  the students (sourcedIds) whom posts are for; null for the whole section
     */
    public function __construct(
        public string $language = 'en',
        public string $next = 'top',
        public string $weeks = 'week',
        public ?int $from = null,
        public ?int $till = null,
        public DetailLevel $amount = DetailLevel::All,
        public ?string $answers = null,
        public ?array $for = null,
    ) {
        if (! ReaderLanguage::isTag($language)) {
            throw new Fault('showing.language', 'language');
        }
        foreach (['next' => $next, 'weeks' => $weeks] as $field => $position) {
            if (preg_match(self::POSITION, $position) !== 1 || ($field === 'next' && $position === 'week')) {
                throw new Fault('showing.position', $field);
            }
        }
        foreach (['from' => $from, 'till' => $till] as $field => $days) {
            if ($days !== null && ($days < 0 || $days > self::MOST_DAYS)) {
                throw new Fault('showing.days', $field, ['n' => self::MOST_DAYS]);
            }
        }
        if ($answers !== null && ! in_array($answers, self::ANSWERS, true)) {
            throw new Fault('showing.answers', 'answers');
        }
        if ($for === []) {
            throw new Fault('showing.for', 'for');
        }
    }

    /**
     * As it is kept; what is missing is the usual.
     *
     * @param  array<string, mixed>  $plain
     *
     * @throws Fault that names the field
     */
    public static function from(array $plain): self
    {
        $usual = new self();
        $days = fn (string $field): ?int => is_numeric($plain[$field] ?? null) ? (int) $plain[$field] : null;
        $text = fn (string $field): ?string => is_string($plain[$field] ?? null) && $plain[$field] !== ''
            ? $plain[$field]
            : null;
        $for = $plain['for'] ?? null;

        return new self(
            $text('language') ?? $usual->language,
            $text('next') ?? $usual->next,
            $text('weeks') ?? $usual->weeks,
            $days('from'),
            $days('till'),
            DetailLevel::tryFrom($text('amount') ?? '') ?? $usual->amount,
            $text('answers'),
            is_array($for) ? array_values(array_map(strval(...), array_filter($for, is_string(...)))) : null,
        );
    }

    /**
     * This one with what a section has of its own.
     *
     * @param  array<string, mixed>|null  $plain
     */
    public function with(?array $plain): self
    {
        return $plain === null ? $this : self::from([...$this->toArray(), ...$plain]);
    }

    /** @return array<string, string|int|list<string>|null> what {@see from()} reads back */
    public function toArray(): array
    {
        return [
            'language' => $this->language,
            'next' => $this->next,
            'weeks' => $this->weeks,
            'from' => $this->from,
            'till' => $this->till,
            'amount' => $this->amount->value,
            'answers' => $this->answers,
            'for' => $this->for,
        ];
    }

    /**
     * The fields of a week's item that say where and when it is shown; none for what is usual.
     *
     * @return array<string, string>
     */
    public function ofWeek(Term $term, int $week): array
    {
        $monday = $term->monday($week);
        $at = fn (int $days): string => gmdate('Y-m-d\TH:i:s\Z', $term->zone->instant($monday->plus($days)->day, 0));

        return array_filter(
            [
                'position' => $this->weeks === 'week' ? null : $this->weeks,
                'from' => $this->from === null ? null : $at(-$this->from),
                'till' => $this->till === null ? null : $at(7 + $this->till),
            ],
            is_string(...),
        );
    }

    /** @return array<string, string> the same of the next session */
    public function ofNext(): array
    {
        return $this->next === 'top' ? [] : ['position' => $this->next];
    }

    /** @return array<string, string|list<string>> the same of a post */
    public function ofPost(): array
    {
        return array_filter(
            ['answers' => $this->answers, 'for' => $this->for],
            fn (array|string|null $value): bool => $value !== null,
        );
    }

    /**
     * Whether somebody reads what is posted: posts for chosen students are read by them, and by everybody who is not a
     * student.
     */
    public function isFor(string $person, bool $isStudent): bool
    {
        return $this->for === null || ! $isStudent || in_array($person, $this->for, true);
    }
}
