<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\SchoolImport;

beforeEach(function () {
    $this->school();
    momentAt('2027-02-09', '09:00');
});

/** Sends a form of the people pages and follows it to its preview. */
function previewOf($test, string $method, string $path, array $form): string
{
    $to = (string) $test
        ->as('A-1')
        ->call($method, $path, $form)
        ->assertSessionHasNoErrors()
        ->headers->get('Location');
    $test->get($to)->assertOk();

    return $to;
}

/** @return list<string> `section role from until` of somebody */
function membershipsOf(string $who): array
{
    return DB::table('enrolments')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('person_id', personCalled($who)->id)
        ->orderBy('sections.sourced_id')
        ->get(['sections.sourced_id', 'role', 'begins_on', 'ends_on'])
        ->map(fn ($e): string => trim("$e->sourced_id $e->role $e->begins_on $e->ends_on"))
        ->all();
}

test('people are found by name, email, id and role, and by what is missing', function () {
    $this->as('A-1')->get('/people')->assertOk()->assertSee('Galia Zabalo')->assertSee('Nadir Haddad');
    $this->get('/people?q=galia')
        ->assertSee('Galia Zabalo')
        ->assertSee('Y8 Marine Science')
        ->assertDontSee('Nadir Haddad');
    $this->get('/people?q=S-1')->assertSee('Galia Zabalo')->assertDontSee('Teo Kallas');
    $this->get('/people?role=teacher')->assertSee('Nadir Haddad')->assertDontSee('Galia Zabalo');
    $this->get('/people?q=%25')->assertSee('Nobody found');
    personCalled('S-1')->update(['email' => null]);
    $this->get('/people?lacks=email')->assertSee('Galia Zabalo')->assertDontSee('Teo Kallas');
    $this->get('/people?lacks=disabled')->assertSee('Nobody found');
});

test('a new student is added by hand: previewed, saved with link and registration, and undone', function () {
    $this->standins();
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    Artisan::call('nomada:register', ['--section' => ['MAR']]);
    $line = "Email\tFirst name\tLast name\tClass\nlia@school.example\tLia\tMoreno\tMAR";
    $to = previewOf($this, 'POST', '/people', ['role' => 'student', 'text' => $line]);
    $this->get($to)->assertSee('Lia Moreno');
    expect(Person::query()->where('email', 'lia@school.example')->exists())->toBeFalse();
    $this->post($to)->assertRedirect('/people')->assertSessionHas('said');
    $lia = Person::query()->where('email', 'lia@school.example')->firstOrFail();
    expect(membershipsOf($lia->sourced_id))
        ->toBe(['MAR student 2027-02-09'])
        ->and(DB::table('registrations')->where('person_id', $lia->id)->value('state'))
        ->toBe('accepted');
    // Nobody else changed, and it is one act with one undo.
    expect(DB::table('people')->count())->toBe(DB::table('people')->where('id', '!=', $lia->id)->count() + 1);
    $this->post(route('import.undo', SchoolImport::query()->latest('id')->value('id')))->assertSessionHasNoErrors();
    expect(Person::query()->where('email', 'lia@school.example')->exists())->toBeFalse();
});

test('faults are all said at once, and what was typed is kept', function () {
    $text = "Lia\nLia,Moreno,lia at school\nLia,Moreno,,8,Nothing";
    $this->as('A-1')
        ->post('/people', ['role' => 'student', 'text' => $text])
        ->assertSessionHasErrors('text');
    $this->get('/people/new')
        ->assertSeeInOrder([
            'Line 1: enter a given name',
            'Line 2: “lia at school” is not',
            'Line 3: no section is called',
        ])
        ->assertSee('lia at school');
    $this->post('/people', ['role' => 'guardian', 'text' => 'x'])->assertSessionHasErrors('role');
});

test('details are changed with a preview; another email address is asked for by itself', function () {
    $details = [
        'given_name' => 'Galia',
        'family_name' => 'Zabalo Ruiz',
        'email' => 'galia.zabalo@home.example',
        'year' => '8',
        'zone' => 'Atlantic/Canary',
        'language' => 'es',
    ];
    $to = previewOf($this, 'PUT', '/people/S-1/details', $details);
    preg_match_all('/name="sure\[\]" value="([^"]+)"/', (string) $this->get($to)->getContent(), $sure);
    $this->post($to, ['sure' => array_map(html_entity_decode(...), $sure[1])])->assertSessionHasNoErrors();
    expect(personCalled('S-1')->only(['family_name', 'email', 'time_zone', 'roster_language']))->toBe([
        'family_name' => 'Zabalo Ruiz',
        'email' => 'galia.zabalo@home.example',
        'time_zone' => 'Atlantic/Canary',
        'roster_language' => 'es',
    ]);
    foreach (['given_name' => '', 'email' => 'no', 'zone' => 'Nowhere', 'language' => 'xx'] as $field => $wrong) {
        $this->put('/people/S-1/details', [...$details, $field => $wrong])->assertSessionHasErrors($field);
    }
});

test('a student moves to another section on a day, and what was before stays', function () {
    $to = previewOf($this, 'POST', '/people/S-1/moves', [
        'leaves' => 'MAR',
        'joins' => 'STA',
        'from_day' => '2027-02-15',
    ]);
    $this->post($to)->assertSessionHasNoErrors();
    expect(membershipsOf('S-1'))->toBe(['MAR student  2027-02-14', 'STA student 2027-02-15']);
    $this->post('/people/S-1/moves', [
        'leaves' => '',
        'joins' => '',
        'from_day' => '2027-02-15',
    ])->assertSessionHasErrors();
    $this->post('/people/S-1/moves', ['leaves' => 'MAR', 'from_day' => 'soon'])->assertSessionHasErrors('from_day');
});

test('somebody without a section can be edited, and is recognised', function () {
    $to = previewOf($this, 'POST', '/people', ['role' => 'teacher', 'text' => 'Lia,Moreno,lia@school.example']);
    $this->post($to)->assertSessionHasNoErrors();
    $lia = Person::query()->where('email', 'lia@school.example')->firstOrFail();
    $details = [
        'given_name' => 'Lía',
        'family_name' => 'Moreno',
        'email' => 'lia@school.example',
        'zone' => 'Europe/Madrid',
    ];
    $this->post(previewOf($this, 'PUT', "/people/$lia->sourced_id/details", $details))->assertSessionHasNoErrors();
    expect($lia->refresh()->given_name)->toBe('Lía');
    $again = ['role' => 'teacher', 'text' => 'Lía,Moreno,lia@school.example,,MAR'];
    $this->post(previewOf($this, 'POST', '/people', $again))->assertSessionHasNoErrors();
    expect(Person::query()->where('email', 'lia@school.example')->count())->toBe(1)
        ->and(membershipsOf($lia->sourced_id))
        ->toBe(['MAR teacher 2027-02-09']);
});

test('an edit is applied to the school as it is when it is saved', function () {
    $to = previewOf($this, 'POST', '/people', [
        'role' => 'student',
        'text' => 'Lia,Moreno,lia@school.example,8,MAR',
    ]);
    // Somebody else saves in between.
    personCalled('S-2')->update(['family_name' => 'Mestre Gil']);
    $this->post($to)->assertSessionHasNoErrors();
    expect(personCalled('S-2')->family_name)->toBe('Mestre Gil');
    $this->post($to)->assertNotFound();
});

test('the set-up list says how far each step is, and home shows it until it is hidden', function () {
    config(['nomada.demo' => false]);
    $steps = fn (): array => array_map(
        fn ($s): string => "$s->key {$s->state()} $s->done/$s->all",
        app(Nomada\App\View\SetUp\SetUpList::class)->of(Nomada\App\Models\Term\Term::query()->firstOrFail()),
    );
    expect(implode('; ', $steps()))->toContain(
        'links none 0/2',
        'publishing none 0/2',
        'mail simulated 1/1',
        'registrations none 0/4',
    );
    $this->as('A-1')->get('/')->assertSee('What is left until the first lesson')->assertSee('demo service');
    $this->as('T-2')->get('/')->assertDontSee('What is left until the first lesson');
    $this->as('A-1')->post('/set-up/hiding')->assertRedirect('/');
    $this->get('/')->assertDontSee('What is left until the first lesson')->assertSee('Needs attention');
    $this->get('/set-up')->assertOk()->assertSee('Join links')->assertSee('2 of 3')->assertSee('not begun');
});

test('what was staged and never saved is deleted after two days', function () {
    $old = Nomada\App\Support\StagedUpload::texts(['users.csv' => 'sourcedId']);
    $new = Nomada\App\Support\StagedUpload::texts(['users.csv' => 'sourcedId']);
    touch(storage_path("app/imports/$old->key"), time() - 2 * 86400 - 1);
    Artisan::call('nomada:prune');
    expect(is_dir(storage_path("app/imports/$old->key")))
        ->toBeFalse()
        ->and(is_dir(storage_path("app/imports/$new->key")))
        ->toBeTrue();
    $new->forget();
});
