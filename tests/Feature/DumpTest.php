<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Post\PostOffice;
use Nomada\Core\Joining\JoinCode;

// A copy of the database, in whatever hands, opens nothing: everything that opens something is searched for in it.

/** @return array<string, string> the tables of the application as text; the stand-ins' are other programs' */
function dumpedTables(): array
{
    $out = [];
    foreach (DB::select("select tablename from pg_tables where schemaname = 'public'") as $row) {
        $out[$row->tablename] = (string) DB::selectOne(
            "select string_agg(t::text, E'\n') as all from \"$row->tablename\" t",
        )->all;
    }

    return $out;
}

test('a copy of the database opens nothing', function () {
    $this->school();
    $this->standins();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register', ['--section' => ['MAR', 'SPA']]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $this->as('A-1')
        ->post("/sections/MAR/series/$series->id/guests", [
            'guest_name' => 'Vera Ocampo',
            'guest_email' => 'vera@boats.example',
            'until' => '12 Feb',
        ])
        ->assertSessionHasNoErrors();
    $this->post("/sections/MAR/series/$series->id/letters")->assertSessionHasNoErrors();
    $this->post('/people/T-1/invitation')->assertSessionHasNoErrors();
    $this->post('/me/feed');
    Artisan::call('nomada:publish', ['--section' => ['MAR', 'SPA']]);
    app(PostOffice::class)->sendLeft(0);
    $this->work();
    // Somebody comes in, a link is replaced, a series goes and comes back: what histories keep counts too.
    $host = JoinLink::query()
        ->inForce()
        ->where(['series_id' => $series->id, 'kind' => 'host'])
        ->firstOrFail();
    $this->as('T-2')->post("/join/$host->secret");
    $this->as('A-1')->post("/sections/MAR/series/$series->id/replacement", ['link' => 'all']);
    $this->delete('/sections/SPA/series/'.$this->section('SPA')->series()->value('series.id'));
    $this->post('/people/T-2/invitation');

    $secrets = [];
    foreach (
        JoinLink::query()
            ->get()
            ->concat(DropInRoom::query()->get()) as $link
    ) {
        $code = (string) $link->join_code;
        array_push($secrets, $link->secret, $code, $code === '' ? '' : JoinCode::show($code), (string) $link->pin);
    }
    foreach (Person::query()->whereNotNull('feed_secret')->get() as $person) {
        $secrets[] = (string) $person->feed_secret;
    }
    $secrets = array_filter(array_unique($secrets), fn (string $s): bool => strlen($s) > 4);
    expect(count($secrets))->toBeGreaterThan(8);
    $found = [];
    foreach (dumpedTables() as $table => $text) {
        foreach ($secrets as $secret) {
            if (str_contains($text, $secret)) {
                $found[] = "$table: $secret";
            }
        }
        // Nor the letters' links, or their signatures.
        expect($text)->not->toContain('signature=');
    }
    expect($found)->toBe([]);
});
