<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;

/** What tests of registration do again and again. */
final class Registering
{
    /** @param  array<string, mixed>  $with */
    public static function open($test, array $with = [], string $section = 'MAR'): int
    {
        $series = (int) $test->section($section)->series()->value('series.id');
        $test
            ->as('A-1')
            ->put("/sections/$section/series/$series/registering", $with + ['mode' => 'once'])
            ->assertSessionHasNoErrors();

        return $series;
    }

    public static function as(
        $test,
        string $who,
        int $series,
        ?string $name = null,
        ?string $email = null,
        array $days = [],
    ) {
        $person = Person::query()->where('sourced_id', $who)->firstOrFail();

        return $test->as($who)->post("/register/$series", [
            'typed_name' => $name ?? $person->name(),
            'typed_email' => $email ?? $person->email,
            'days' => $days,
        ]);
    }

    public static function of(string $who): Registration
    {
        return Registration::query()->whereRelation('person', 'sourced_id', $who)->orderByDesc('id')->firstOrFail();
    }
}
