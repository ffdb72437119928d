<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\ImportFiles;
use Nomada\Core\Interchange\SchoolReader;

/** The first coordinator of a machine that knows no school. */
function firstCoordinator($test)
{
    $person = Person::query()->create([
        'sourced_id' => 'nora',
        'role' => 'coordinator',
        'given_name' => 'Nora',
        'family_name' => 'Pardo',
        'email' => 'nora@new.example',
        'year' => '',
        'time_zone' => 'Europe/Madrid',
        'password' => 'x',
    ]);

    return $test->actingAs($person->refresh());
}

const FIRST_SCHOOL = [
    'name' => 'Sea School',
    'zone' => 'Europe/Lisbon',
    'term' => 'Spring',
    'term_first' => '11 Jan 2027',
    'term_last' => '23/4/2027',
    'sections' => "Marine Science, 8, Nadir, Haddad, nadir@school.example\nArt, 8",
    'students' => "Galia, Zabalo, galia@school.example, 8\n",
];

test('an empty school begins by what is typed: looked at, and saved', function () {
    firstCoordinator($this)->get('/')->assertRedirect('/begin');
    $this->get('/begin')->assertOk()->assertSee('Sections and their teachers')->assertSee('Europe/Lisbon');
    $preview = $this->post('/begin', FIRST_SCHOOL)
        ->assertSessionHasNoErrors()
        ->headers->get('Location');
    $this->get((string) $preview)->assertOk()->assertSee('no errors');
    expect(DB::table('sections')->count())->toBe(0);
    $this->post((string) $preview)->assertRedirect('/term');
    expect(DB::table('schools')->first(['name', 'time_zone']))
        ->toEqual((object) ['name' => 'Sea School', 'time_zone' => 'Europe/Lisbon'])
        ->and(DB::table('terms')->first(['starts_on', 'ends_on']))
        ->toEqual((object) ['starts_on' => '2027-01-11', 'ends_on' => '2027-04-23'])
        ->and(DB::table('enrolments')->count())
        ->toBe(3);
    $this->get('/')->assertOk()->assertSee('Y8 Marine Science')->assertSee('N. Haddad');
});

test('what cannot be is told beside its field, and nothing typed is lost', function (array $with, string $field) {
    firstCoordinator($this)
        ->from('/begin')
        ->post('/begin', $with + FIRST_SCHOOL)
        ->assertRedirect('/begin')
        ->assertSessionHasErrors($field)
        ->assertSessionHasInput('sections');
})->with([
    'no name' => [['name' => ''], 'name'],
    'no such zone' => [['zone' => 'Europe/Nowhere'], 'zone'],
    'no such day' => [['term_first' => '31 Feb 2027'], 'term_first'],
    'ends before it begins' => [['term_last' => '4 Jan 2027'], 'term_last'],
    'half a teacher' => [['sections' => 'Art, 8, Nadir'], 'sections'],
    'a section that is not there' => [['students' => 'A, B, , 8, Physics'], 'students'],
]);

test('once there is a school, nobody types another over it', function () {
    $this->school();
    $before = DB::table('people')->orderBy('id')->get()->all();
    $this->as('A-1')->get('/begin')->assertRedirect('/term/import');
    $this->post('/begin', FIRST_SCHOOL)->assertRedirect('/term/import')->assertSessionHasErrors('files');
    $this->get('/term/import')->assertSee('A school exists here now.');
    expect(DB::table('people')->orderBy('id')->get()->all())->toEqual($before);
});

test('the sample folder is one that the import takes without a fault', function () {
    $zip = tempnam(sys_get_temp_dir(), 'zip').'.zip';
    file_put_contents($zip, firstCoordinator($this)->get('/begin/sample')->assertOk()->getContent());
    $data = SchoolReader::read(ImportFiles::from($zip));
    expect($data->faults)
        ->toBe([])
        ->and(count($data->series))
        ->toBe(1)
        ->and(count($data->closures))
        ->toBe(1)
        ->and(count($data->enrolments))
        ->toBe(6);
});
