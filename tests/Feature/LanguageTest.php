<?php

use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Joining\JoinLink;
use Tests\Support\SmallSchool;

/** What is whole in every language that there are words for: all that students, guardians and guests read. */
const TRANSLATED = [
    'account',
    'attendance',
    'door',
    'errors',
    'faults',
    'frame',
    'letters',
    'me',
    'published',
    'recordings',
    'register',
    'remind',
];

test(
    'every translated file has exactly the keys of the English one, with the same parameters and numbers',
    function (string $language) {
        foreach (glob(lang_path("$language/*.php")) as $file) {
            $name = basename($file);
            $own = Arr::dot(require $file);
            $english = Arr::dot(require lang_path("en/$name"));
            expect(array_keys($own))->toEqualCanonicalizing(array_keys($english), "$language/$name");
            foreach ($english as $key => $words) {
                $parts = function (string $text): array {
                    preg_match_all('/(?<![\w:]):[a-z_]+|\{\d+\}|\[\d+,\*\]/', $text, $m);
                    sort($m[0]);

                    return array_values(array_unique($m[0]));
                };
                expect($parts($own[$key]))->toBe($parts($words), "$language/$name: $key");
                // What is the same in both is a name, a code, or a sign.
                $said = trim((string) preg_replace('/:[a-z_]+|\{[a-z_]+\}/', '', $words));
                expect($own[$key] === $words && str_contains($said, ' ') && strlen($said) > 12)->toBeFalse(
                    "$language/$name: $key is not translated",
                );
            }
        }
        foreach (TRANSLATED as $name) {
            expect(is_file(lang_path("$language/$name.php")))->toBeTrue("$language/$name.php");
        }
    },
)->with(fn (): array => array_values(array_diff((array) require_languages(), ['en'])));

/** @return list<string> */
function require_languages(): array
{
    return array_map(basename(...), glob(dirname(__DIR__, 2).'/lang/*', GLOB_ONLYDIR));
}

test('a page is in the language that its reader chose, else the roster\'s, else the browser\'s', function () {
    $this->standins();
    $this->school();
    $me = fn (string $accept) => $this->as('S-1')->get('/me', ['Accept-Language' => $accept]);
    $me('')->assertSee('Upcoming sessions')->assertSee('lang="en-GB"', false);
    $me('fr,es-ES;q=0.8')
        ->assertSee('Próximas sesiones')
        ->assertSee('lang="es"', false)
        ->assertSee('dir="ltr"', false)
        ->assertHeader('Content-Language', 'es');
    DB::table('people')
        ->where('sourced_id', 'S-1')
        ->update(['roster_language' => 'es-419']);
    $me('en')->assertSee('Próximas sesiones')->assertSee('mar 9 feb, hoy');
    $this->as('A-1')
        ->get('/', ['Accept-Language' => 'es'])
        ->assertSee('lang="es"', false)
        ->assertSee('Cerrar sesión');
    $this->get('/account')->assertSee('Language');
    $this->as('S-1')
        ->put('/me/language', ['language' => 'en'])
        ->assertSessionHas('said', 'Saved.');
    $me('es')->assertSee('Upcoming sessions')->assertSee('Tue 9 Feb, today');
    $this->put('/me/language', ['language' => 'xx'])->assertSessionHasErrors('language');
    $this->put('/me/language', ['language' => ''])->assertSessionHasNoErrors();
    expect(DB::table('people')->where('sourced_id', 'S-1')->value('language'))->toBeNull();
});

test('the door and the registration speak to a student in Spanish, on the student\'s clock', function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    DB::table('people')
        ->whereIn('sourced_id', ['S-1', 'S-2'])
        ->update(['language' => 'es']);
    $link = JoinLink::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('kind', 'series')
        ->firstOrFail();
    momentAt('2027-02-09', '08:00');
    $this->as('S-2')
        ->get($link->address())
        ->assertSee('Llegas pronto')
        ->assertSee('La sesión se abre a las 08:50 (09:50 en Madrid).')
        ->assertSeeInOrder(['se abre', 'empieza', 'termina', '¿No funciona?', 'escribe'])
        ->assertSee('jue 11 feb');
    momentAt('2027-02-09', '11:00');
    $this->get($link->address())
        ->assertSee('Esta sesión ha terminado')
        ->assertSee('La próxima sesión es el jue 11 feb a las 09:00');
    $this->get("/register/$link->series_id")
        ->assertSee('Tienes la inscripción confirmada')
        ->assertSee('Sesiones que quedan');
    // A stranger with a browser that asks for Spanish.
    auth()->logout();
    $this->get('/nowhere', ['Accept-Language' => 'es'])
        ->assertNotFound()
        ->assertSee('Página no encontrada');
});

test('the roster\'s language is read, told where it is none, and goes out again', function () {
    $says = ['sourcedId' => 'metadata.language', 'S-1' => 'es-419', 'S-2' => 'es_ES!'];
    $users = implode(
        "\n",
        array_map(
            fn (string $line): string => "$line,".($says[strtok($line, ',')] ?? ''),
            explode("\n", trim(SmallSchool::files()['users.csv'])),
        ),
    );
    $this->school(['users.csv' => $users]);
    $languages = DB::table('people')
        ->whereNotNull('roster_language')
        ->pluck('roster_language', 'sourced_id')
        ->all();
    expect($languages)->toBe(['S-1' => 'es-419']);
    Artisan::call('nomada:import', ['path' => SmallSchool::folder(['users.csv' => $users]), '--json' => true]);
    expect(Artisan::output())->toContain('This is not a language tag like es or pt-BR; it is left out.');
    $zip = tempnam(sys_get_temp_dir(), 'zip');
    file_put_contents($zip, $this->as('A-1')->get('/term/roster')->getContent());
    $archive = new ZipArchive();
    $archive->open($zip);
    expect($archive->getFromName('users.csv'))
        ->toContain('metadata.timeZone,metadata.language')
        ->toContain('Atlantic/Canary,es-419');
    unlink($zip);
});

test('letters go in their reader\'s language, and a guardian reads of their child in theirs', function () {
    $this->standins = $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    DB::table('people')
        ->whereIn('sourced_id', ['S-1', 'G-1'])
        ->update(['language' => 'es']);
    $series = Nomada\App\Models\Timetable\Series::query()
        ->whereRelation('section', 'sourced_id', 'MAR')
        ->firstOrFail();
    $this->as('A-1')->post("/sections/MAR/series/$series->id/letters");
    $this->work();
    $first = mailbox($this, 'S-1')[0];
    expect($first->header('Subject'))
        ->toBe('Tu inscripción en Y8 Marine Science está confirmada')
        ->and($first->html())
        ->toContain('lang="es"')
        ->toContain('Las próximas sesiones, en tu hora: ')
        ->toContain('mar ')
        ->and(mailbox($this, 'S-2')[0]->header('Subject'))
        ->toBe('You are registered for Y8 Marine Science');
    $guardian = Nomada\App\Models\Term\Person::query()->where('sourced_id', 'G-1')->firstOrFail();
    auth()->logout();
    $this->get($guardian->childrenPage())
        ->assertSee('Asistencia de tus hijos')
        ->assertSee('Comunicar una falta')
        ->assertSee('lang="es"', false);
    $this->get('/sign-in', ['Accept-Language' => 'es'])->assertSee('¿Has olvidado la contraseña?');
});

test('no sentence is asked for that is not there, and none is there that nobody asks for', function () {
    $text = '';
    foreach (['app', 'core', 'resources/views', 'routes'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base_path($folder))) as $file) {
            $text .= str_ends_with((string) $file, '.php') ? file_get_contents((string) $file)."\n" : '';
        }
    }
    $keys = [];
    foreach (glob(lang_path('en/*.php')) as $file) {
        foreach (array_keys(Arr::dot(require $file)) as $key) {
            $keys[] = basename($file, '.php').".$key";
        }
    }
    $files = implode('|', array_map(fn (string $f): string => basename($f, '.php'), glob(lang_path('en/*.php'))));
    $part = '[A-Za-z0-9_-]+';
    // What core/ says of the places is asked for by the codes within their file.
    preg_match_all("/say\(\s*\\\$?[^'\"()]{0,60}['\"]([a-z_]+(?:\.$part)*\.?)/", $text, $core);
    preg_match_all("/['\"]((?:own|roles|changes|patterns)\.(?:$part)?(?:\.$part)*\.?)/", $text, $more);
    preg_match_all("/['\"]((?:$files)(?:\.$part)*\.?)/", $text, $literal);
    // Scripts ask for theirs by the codes within their file.
    $scripts = implode('', array_map(file_get_contents(...), glob(resource_path('js/*.js'))));
    preg_match_all("/(?:say\(|tell\('[a-z]+', )'($part(?:\.$part)*)'/", $scripts, $said);
    $said = array_map(fn (string $code): string => "script.$code", $said[1]);
    expect(array_values(array_filter($said, fn (string $key): bool => ! Lang::has($key))))->toBe([]);
    // Faults are asked for by the codes within their two files.
    preg_match_all("/['\"]([a-z_]+\.(?:[a-z_0-9]+)?)/", $text, $faults);
    $asked = array_unique([
        ...array_map(fn (string $code): string => "faults.$code", $faults[1]),
        ...array_map(fn (string $code): string => "staff_faults.$code", $faults[1]),
        ...array_map(fn (string $code): string => "says.$code", $faults[1]),
        'faults.room',
        ...$literal[1],
        ...$said,
        ...array_map(fn (string $key): string => "$key.", $said),
        ...array_map(fn (string $code): string => "published.$code", [...$core[1], ...$more[1]]),
    ]);
    $exactly = array_flip($asked);
    $above = array_flip(
        array_map(
            fn (string $one): string => rtrim($one, '.'),
            array_filter($asked, fn (string $one): bool => str_contains($one, '.')),
        ),
    );
    $isAsked = function (string $key) use ($exactly, $above): bool {
        $is = isset($exactly[$key]);
        while (! $is && str_contains($key, '.')) {
            $key = substr($key, 0, (int) strrpos($key, '.'));
            $is = isset($above[$key]);
        }

        return $is;
    };
    expect(array_values(array_filter($keys, fn (string $key): bool => ! $isAsked($key))))->toBe([]);
    preg_match_all("/(?:__|trans_choice)\(\s*['\"]((?:$files)(?:\.$part)+)['\"]/", $text, $called);
    $missing = array_filter(array_unique($called[1]), fn (string $key): bool => ! Lang::has($key));
    expect(array_values($missing))->toBe([]);
    preg_match_all("/(?:new Fault|->fault)\(\s*(?:[^()'\"]*\? )?'([a-z_]+\.[a-z_.]+)'/", $text, $coded);
    $isSaid = fn (string $code): bool => Lang::has("faults.$code") ||
        Lang::has("staff_faults.$code") ||
        Lang::has($code);
    expect(array_values(array_filter(array_unique($coded[1]), fn (string $code): bool => ! $isSaid($code))))
        ->toBe([])
        ->and(count($coded[1]))
        ->toBeGreaterThan(200);
    // What else is said, whatever says it.
    preg_match_all("/new Said\(\s*(?:[^()'\"]*\? )?'([a-z_]+(?:\.[a-z_-]+)+)'/", $text, $said);
    $hasWords = fn (string $code): bool => Lang::has("says.$code") || Lang::has("published.$code") || Lang::has($code);
    expect(array_values(array_filter(array_unique($said[1]), fn (string $code): bool => ! $hasWords($code))))
        ->toBe([])
        ->and(count($said[1]))
        ->toBeGreaterThan(150);
});

test('a history is kept as codes, and read in the language of whoever reads it', function () {
    $this->school();
    momentAt('2027-02-08', '08:00');
    $section = $this->section('MAR');
    $series = $section->series()->firstOrFail();
    $this->as('A-1')->put("/sections/MAR/series/$series->id", [
        'title' => 'Tides',
        'kind' => 'weekly',
        'every' => 1,
        'weekdays' => [2, 4],
        'starts_on' => '2027-01-12',
        'start_time' => '10:15',
        'end_time' => '11:00',
        'end_kind' => 'term',
        'reach' => 'later',
        'from_day' => '2027-03-01',
    ]);
    $session = $series->sessions()->where('day', '2027-02-11')->firstOrFail();
    $this->post("/sections/MAR/series/$series->id/sessions/$session->id/cancellation", ['reason' => 'boat trip']);
    $this->get('/sections/MAR')
        ->assertSee('from Mon 1 Mar on: Tue Thu 10:15–11:00')
        ->assertSee('cancelled Thu 11 Feb: boat trip');
    DB::table('publishing_options')->updateOrInsert(
        ['section_id' => $section->id],
        ['rules' => '{"language":"es"}', 'updated_by' => null, 'updated_at' => now()],
    );
    $lines = array_map(
        strval(...),
        (new SimpleXMLElement($this->get(SectionFeed::stream($section))->getContent()))->xpath(
            '//*[local-name()="content"]',
        ),
    );
    expect($lines[0])
        ->toBe('cancelada la sesión del jue 11 feb: boat trip')
        ->and($lines[1])
        ->toStartWith('desde el lun 1 mar: mar jue 10:15–11:00 (');
    // A line of before there were codes has its words alone.
    DB::table('series_changes')->update(['said' => null, 'words' => 'as it was']);
    $this->get('/sections/MAR')->assertSee('as it was');
});

// Words that are asked for by the code of a case. A new case of a list has to have them before anybody sees it.
test('every case of a list has its words', function (string $list, array $words) {
    $missing = [];
    foreach ($list::cases() as $case) {
        foreach ($words as $key) {
            Lang::has(sprintf($key, $case->value)) || $missing[] = sprintf($key, $case->value);
        }
    }
    expect($missing)->toBe([]);
})->with([
    [Nomada\Core\Belonging\Role::class, ['frame.roles.%s', 'account.people.roles.%s']],
    [Nomada\Core\Publishing\PlaceKind::class, ['publishing.places.kinds.%s']],
    [Nomada\Core\Publishing\ExternalService::class, ['places.services.%s.in_sentence']],
    [Nomada\Core\Publishing\DiscrepancyCause::class, ['publishing.truth.causes.%s']],
    [Nomada\Core\Publishing\DiscrepancyKind::class, ['publishing.truth.seen.%s']],
    [Nomada\Core\Post\LetterKind::class, ['letters.%s.title', 'letters.%s.subject', 'letters.%s.text']],
    [Nomada\Core\Post\Reminder::class, ['remind.choices.%s']],
    [Nomada\Core\Presence\Status::class, ['attendance.status.%s']],
    [Nomada\Core\Presence\Measure::class, ['presence.score.measures.%s']],
    [Nomada\App\View\Presence\Today\DoorState::class, ['presence.today.states.%s']],
    [Nomada\Core\Recording\RecordingState::class, ['recordings.states.%s']],
    [Nomada\Core\Timetable\SessionState::class, ['session.states.%s']],
    [Nomada\App\View\Timetable\Contact\ContactVerdict::class, ['contact.verdicts.%s']],
]);
