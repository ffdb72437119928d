<?php

use Tests\Support\OnTables;
use Tests\Support\TestCase;

// Core tests know no framework and take milliseconds. Browser tests bring a whole running copy of their own.
pest()->extend(TestCase::class)->use(OnTables::class)->in('Feature');

pest()->extend(TestCase::class)->beforeEach(fn () => Tests\Browser\Browser::forget())->in('Browser');

// That it is refused with a fault which reads so, beside the field where one is given.
expect()->extend('toFault', function (string $words, ?string $field = null) {
    try {
        ($this->value)();
    } catch (Nomada\Core\Fault $fault) {
        expect(Tests\Support\English::of($fault))->toContain($words);
        if ($field !== null) {
            expect($fault->field)->toBe($field);
        }

        return $this;
    }
    PHPUnit\Framework\Assert::fail("Nothing was refused with: $words");
});

function browser(): Tests\Browser\Browser
{
    return Tests\Browser\Browser::shared()->size(1280, 800);
}

/** Sets the application's clock, on Madrid's. */
function momentAt(string $date, string $time = '09:56'): void
{
    app(Nomada\App\Support\Clock::class)->set((int) strtotime("$date $time Europe/Madrid"));
}

function personCalled(string $sourcedId): Nomada\App\Models\Term\Person
{
    return Nomada\App\Models\Term\Person::query()->where('sourced_id', $sourcedId)->firstOrFail();
}

/** Lets the undo time pass, and sends. */
function postGoes(): void
{
    Illuminate\Support\Facades\DB::table('emails')
        ->whereNull('sent_at')
        ->update(['not_before' => now()->subSecond()]);
    app(Nomada\App\Post\PostOffice::class)->sendLeft(0);
}

/** @return list<Nomada\Standins\MimeMessage> in somebody's mailbox, newest first */
function mailbox($test, string $who): array
{
    return array_map(
        fn (string $m): Nomada\Standins\MimeMessage => new Nomada\Standins\MimeMessage($m),
        Tests\Support\StandinServer::shared()->get('/post/people/'.rawurlencode(personCalled($who)->email))[
            'letters'
        ],
    );
}
