<?php

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Actions\Publishing\SectionFeed;

beforeEach(function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    momentAt('2027-02-08', '08:00');
    $this->session = (int) DB::table('sessions')
        ->where('series_id', $this->section('MAR')->series()->value('series.id'))
        ->where('day', '2027-02-09')
        ->value('id');
});

/** @param  array<string, mixed>  $with */
function material(array $with = []): array
{
    return [
        'material_title' => 'Tide tables',
        'material_address' => 'https://tides.example/2027',
        'material_session' => '',
        ...$with,
    ];
}

test('what students need stands on the course page, in the cartridge, on our page and on their own', function () {
    $this->as('T-2')->post('/sections/MAR/materials', material())->assertSessionHasNoErrors();
    $this->post(
        '/sections/MAR/materials',
        material([
            'material_title' => 'Chart of the harbour',
            'material_address' => 'https://charts.example/7',
            'material_session' => $this->session,
        ]),
    )->assertSessionHasNoErrors();
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    $items = collect($this->standins->get('/course/pages/MAR')['items'])->keyBy('item');
    expect($items['MAR/pinned']['fields']['Materials'])
        ->toBe(['Tide tables: https://tides.example/2027'])
        ->and($items['MAR/week-5']['fields']['Materials'])
        ->toBe(['Tue 9 Feb, Chart of the harbour: https://charts.example/7'])
        ->and(isset($items['MAR/week-6']['fields']['Materials']))
        ->toBeFalse();
    $this->as('S-1')
        ->get('/me')
        ->assertSeeInOrder(['Tide tables', 'Chart of the harbour', 'Tue 9 Feb']);
    $this->get(SectionFeed::page($this->section('MAR')))->assertSee('href="https://charts.example/7"', false);
    $zip = $this->as('T-2')->get('/sections/MAR/cartridge')->getContent();
    $path = tempnam(sys_get_temp_dir(), 'cc');
    file_put_contents($path, $zip);
    $archive = new ZipArchive();
    $archive->open($path);
    $manifest = (string) $archive->getFromName('imsmanifest.xml');
    expect($manifest)->toContain('<title>Materials</title>')->toContain('<title>Chart of the harbour</title>');
    unlink($path);
});

test('what is for a cancelled session stands nowhere, and what is taken out neither', function () {
    $this->as('T-2')->post('/sections/MAR/materials', material(['material_session' => $this->session]));
    $page = fn (): string => (string) $this->get(SectionFeed::page($this->section('MAR')))->getContent();
    expect($page())->toContain('Tide tables');
    DB::table('sessions')
        ->where('id', $this->session)
        ->update(['state' => 'cancelled', 'reason' => 'storm']);
    expect($page())->not->toContain('Tide tables');
    DB::table('sessions')
        ->where('id', $this->session)
        ->update(['state' => 'planned', 'reason' => null]);
    $id = DB::table('materials')->value('id');
    $this->as('T-1')
        ->delete("/sections/MAR/materials/$id")
        ->assertForbidden();
    $this->as('T-2')->delete("/sections/MAR/materials/$id");
    expect($page())->not->toContain('Tide tables');
    $this->delete("/sections/MAR/materials/$id")->assertNotFound();
});

test('what cannot be is told beside its field, and nothing is kept', function (array $with, string $field) {
    $this->as('T-2')->post('/sections/MAR/materials', material($with))->assertSessionHasErrors($field);
    expect(DB::table('materials')->count())->toBe(0);
})->with([
    [['material_title' => ' '], 'material_title'],
    [['material_title' => str_repeat('x', 121)], 'material_title'],
    [['material_address' => 'tides.example'], 'material_address'],
    [['material_address' => 'javascript:alert(1)'], 'material_address'],
    [['material_address' => 'https://x.example/'.str_repeat('a', 1000)], 'material_address'],
    [['material_session' => 999999], 'material_session'],
]);

test('what people write is escaped, and a section has no more than can be read', function () {
    $this->as('T-2')->post('/sections/MAR/materials', material(['material_title' => '<b>x</b>']));
    $this->as('S-1')->get('/me')->assertDontSee('<b>x</b>', false)->assertSee('&lt;b&gt;x&lt;/b&gt;', false);
    $row = (array) DB::table('materials')->first();
    unset($row['id']);
    DB::table('materials')->insert(array_fill(0, 199, $row));
    $this->as('T-2')->post('/sections/MAR/materials', material())->assertSessionHasErrors('material_title');
});

test('a file is given to whoever has a part in the section, and to nobody else', function () {
    Storage::fake('materials');
    $file = fn (int $kilobytes = 3) => UploadedFile::fake()->create('Tides of February.html', $kilobytes);
    $this->as('T-2')
        ->post('/sections/MAR/materials', ['material_title' => '', 'material_file' => $file()])
        ->assertSessionHasNoErrors();
    $material = DB::table('materials')->first();
    $at = parse_url((string) $material->address, PHP_URL_PATH);
    expect($material->title)
        ->toBe('Tides of February.html')
        ->and(Storage::disk('materials')->files())
        ->toBe([$material->file]);
    // Saved, never shown within our pages, whatever it says it is.
    $this->as('S-1')
        ->get($at)
        ->assertOk()
        ->assertHeader('Content-Type', 'application/octet-stream')
        ->assertHeader('X-Content-Type-Options', 'nosniff')
        ->assertDownload('Tides of February.html');
    foreach (['T-2' => 200, 'A-1' => 200, 'G-1' => 200, 'T-1' => 404, 'S-4' => 404] as $person => $status) {
        $this->as($person)->get($at)->assertStatus($status);
    }
    // Anybody who has left gets it no more.
    $this->as('S-3')->get($at)->assertOk();
    momentAt('2027-02-21', '09:00');
    $this->as('S-3')->get($at)->assertNotFound();
    $this->as('S-1')->get('/me')->assertSee('Tides of February.html');
    $this->as('T-2')->delete("/sections/MAR/materials/$material->id");
    expect(Storage::disk('materials')->files())->toBe([]);
    $this->as('S-1')->get($at)->assertNotFound();
});

test(
    'a file that is too large, or of nobody\'s session, is not kept; what was left lying is taken away',
    function () {
        Storage::fake('materials');
        config(['nomada.material_megabytes' => 1]);
        $large = UploadedFile::fake()->create('large.pdf', 1025);
        $this->as('T-2')
            ->post('/sections/MAR/materials', ['material_file' => $large])
            ->assertSessionHasErrors('material_file');
        $small = UploadedFile::fake()->create('small.pdf', 1024);
        $this->post('/sections/MAR/materials', [
            'material_file' => $small,
            'material_session' => 999999,
        ])->assertSessionHasErrors('material_session');
        expect(Storage::disk('materials')->files())
            ->toBe([])
            ->and(DB::table('materials')->count())
            ->toBe(0);
        $this->post('/sections/MAR/materials', ['material_title' => 'Small', 'material_file' => $small]);
        foreach (['left' => 90000, 'new' => 0] as $name => $age) {
            Storage::disk('materials')->put($name, 'x');
            touch(Storage::disk('materials')->path($name), time() - $age);
        }
        touch(Storage::disk('materials')->path((string) DB::table('materials')->value('file')), time() - 90000);
        Artisan::call('nomada:tidy');
        expect(Storage::disk('materials')->files())
            ->toHaveCount(2)
            ->toContain('new', (string) DB::table('materials')->value('file'));
    },
);
