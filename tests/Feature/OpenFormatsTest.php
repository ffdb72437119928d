<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Actions\Publishing\RosterOut;
use Nomada\App\Actions\Publishing\SectionFeed;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Interchange\SchoolReader;
use Sabre\VObject\Reader;

beforeEach(function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    momentAt('2027-02-08', '08:00');
});

/** @return array<string, SimpleXMLElement> files of a zip by name */
function cartridgeOf(string $zip): array
{
    $path = tempnam(sys_get_temp_dir(), 'cc');
    file_put_contents($path, $zip);
    $archive = new ZipArchive();
    expect($archive->open($path))->toBeTrue();
    $out = [];
    for ($n = 0; $n < $archive->numFiles; $n++) {
        $out[$archive->getNameIndex($n)] = new SimpleXMLElement((string) $archive->getFromIndex($n));
    }
    unlink($path);

    return $out;
}

test(
    'a cartridge has what the standard asks for: a manifest, a folder a week, a resource and a file a link',
    function () {
        $answer = $this->as('T-2')->get('/sections/MAR/cartridge')->assertOk();
        expect($answer->headers->get('Content-Disposition'))->toContain('mar.imscc');
        $files = cartridgeOf($answer->getContent());
        $manifest = $files['imsmanifest.xml'];
        $ns = 'http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1';
        $manifest->registerXPathNamespace('m', $ns);
        $all = fn (string $path): array => array_map(strval(...), (array) $manifest->xpath($path));
        expect($manifest->getNamespaces()[''])
            ->toBe($ns)
            ->and($all('/m:manifest/m:metadata/m:schema'))
            ->toBe(['IMS Common Cartridge'])
            ->and($all('/m:manifest/m:metadata/m:schemaversion'))
            ->toBe(['1.3.0'])
            ->and($all('//m:organization/@structure'))
            ->toBe(['rooted-hierarchy'])
            // One root without a title, a titled folder a week, titled links in them.
            ->and($all('//m:organization/m:item/m:title'))
            ->toBe([])
            ->and($all('//m:organization/m:item/m:item/m:title')[0])
            ->toBe('Week 1, from Mon 11 Jan')
            ->and(count($all('//m:organization/m:item/m:item')))
            ->toBe(13);
        $refs = $all('//@identifierref');
        $resources = $all('//m:resource/@identifier');
        $hrefs = $all('//m:resource/m:file/@href');
        expect($refs)
            ->toHaveCount(25)
            ->and($resources)
            ->toEqualCanonicalizing($refs)
            ->and(array_unique($all('//m:resource/@type')))
            ->toBe(['imswl_xmlv1p3'])
            ->and(array_diff($hrefs, array_keys($files)))
            ->toBe([])
            ->and(count($files))
            ->toBe(26);
        $ids = $all('//@identifier');
        expect(count(array_unique($ids)))
            ->toBe(count($ids))
            ->and(preg_grep('/^[A-Za-z_][\w.-]*$/', $ids, PREG_GREP_INVERT))
            ->toBe([]);
        $link = $files[$hrefs[0]];
        expect($link->getName())
            ->toBe('webLink')
            ->and($link->getNamespaces()[''])
            ->toBe('http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3')
            ->and((string) $link->url['href'])
            ->toContain('/join/');

        $to = sys_get_temp_dir().'/mar.imscc';
        expect(Artisan::call('nomada:cartridge', ['--section' => ['MAR'], '--to' => $to]))
            ->toBe(0)
            ->and(array_keys(cartridgeOf((string) file_get_contents($to))))
            ->toBe(array_keys($files))
            ->and(Artisan::call('nomada:cartridge', ['--to' => $to]))
            ->toBe(1)
            ->and(Artisan::call('nomada:cartridge', ['--section' => ['MAR'], '--to' => '/nowhere/x']))
            ->toBe(1);
    },
);

test('what we hold of a term is read back by our own reader as the same', function () {
    DB::table('series')
        ->where('section_id', $this->section('SPA')->id)
        ->update(['title' => 'Spanish']);
    // A session that was moved counts where the pattern has it.
    $mar = fn () => DB::table('sessions')->whereIn(
        'series_id',
        DB::table('series')->where('section_id', $this->section('MAR')->id)->select('id'),
    );
    $last = $mar()->orderByDesc('day')->value('day');
    $mar()
        ->where('day', $last)
        ->update(['moved_from' => $last, 'day' => '2027-04-21']);
    $files = app(RosterOut::class)(Term::query()->with('school')->firstOrFail());
    $data = SchoolReader::read($files);
    expect(array_filter($data->faults, fn ($f) => ! $f->isWarning))->toBe([]);
    $ids = fn (string $table) => DB::table($table)->orderBy('sourced_id')->pluck('sourced_id')->all();
    $sorted = function (array $keys): array {
        sort($keys);

        return $keys;
    };
    expect($sorted(array_keys($data->sections)))
        ->toBe($ids('sections'))
        ->and($sorted(array_keys($data->people)))
        ->toBe($ids('people'))
        ->and(count($data->enrolments))
        ->toBe(DB::table('enrolments')->count())
        ->and($data->people['S-1']['zone'] ?? $data->people['S-1']['time_zone'])
        ->toBe('Atlantic/Canary')
        ->and($data->people['S-1']['guardians'])
        ->toBe(['G-1']);
    // The timetable plans the same sessions again.
    $calendar = Term::query()->firstOrFail()->calendar();
    foreach ($data->series as $row) {
        $planned = array_filter($row['plan']->sessions($calendar), fn ($s) => $s->state->value === 'planned');
        expect(count($planned))->toBe(
            DB::table('sessions')
                ->where('state', 'planned')
                ->whereIn(
                    'series_id',
                    DB::table('series')->where('section_id', $this->section($row['section'])->id)->select('id'),
                )
                ->count(),
        );
    }
    $this->as('A-1')->get('/term/roster')->assertOk()->assertHeader('Content-Type', 'application/zip');
});

test('the stream of ours is a feed that any reader can subscribe to, in pages', function () {
    $section = $this->section('MAR');
    $series = DB::table('series')->where('section_id', $section->id)->value('id');
    for ($n = 1; $n <= 21; $n++) {
        DB::table('series_changes')->insert([
            'section_id' => $section->id,
            'series_id' => $series,
            'at' => "2027-02-01 10:00:$n+00",
            'words' => "Change <$n>",
        ]);
    }
    $url = SectionFeed::stream($section);
    $read = function (string $url): SimpleXMLElement {
        $x = new SimpleXMLElement($this->get($url)->assertOk()->getContent());
        $x->registerXPathNamespace('a', 'http://www.w3.org/2005/Atom');

        return $x;
    };
    $first = $read($url);
    $rel = fn (SimpleXMLElement $x, string $rel): ?string => (
        $x->xpath("//a:link[@rel='$rel']/@href")[0] ?? null
    )?->__toString();
    expect($rel($first, 'self'))
        ->toBe($url)
        ->and($rel($first, 'next'))
        ->toBe("$url?page=2")
        ->and((string) $first->id)
        ->toStartWith('tag:127.0.0.1,2026:sections/MAR/')
        ->and((string) $first->updated)
        ->toBe('2027-02-01T10:00:21Z')
        ->and(count($first->entry))
        ->toBe(20)
        ->and((string) $first->entry[0]->content)
        ->toBe('Change <21>');
    $second = $read((string) $rel($first, 'next'));
    expect($rel($second, 'next'))
        ->toBeNull()
        ->and(array_map(strval(...), $second->xpath('//a:entry/a:content'))[0])
        ->toBe('Change <1>')
        ->and((string) $second->entry[1]->content)
        ->toContain('Join link: ');
    $ids = [...$first->xpath('//a:entry/a:id'), ...$second->xpath('//a:entry/a:id')];
    expect(count(array_unique(array_map(strval(...), $ids))))->toBe(22);
    $this->withHeaders(['If-None-Match' => $this->get($url)->headers->get('ETag')])
        ->get($url)
        ->assertStatus(304);
    $this->flushHeaders()
        ->get("$url?page=-4")
        ->assertOk();
});

test(
    'the course page of ours is always right, and is shown only within the pages that the school names',
    function () {
        $url = SectionFeed::page($this->section('MAR'));
        $page = $this->get($url)->assertOk()->assertSee('Tue 9 Feb, 10:00–10:47 Madrid')->assertSee('/enter/');
        expect($page->headers->get('Content-Security-Policy'))->toContain("frame-ancestors 'none'");
        expect($page->getContent())->not->toContain('<form');
        // Once, on top, and not again in every week.
        expect(substr_count((string) $page->getContent(), 'href="'.url('/enter').'/'))->toBe(1);
        config(['places.embedded_in' => 'https://courses.school.example']);
        expect($this->get($url)->headers->get('Content-Security-Policy'))
            ->toContain('frame-ancestors https://courses.school.example')
            ->and($this->as('A-1')->get('/today')->headers->get('Content-Security-Policy'))
            ->toContain("frame-ancestors 'none'");
        DB::table('sessions')
            ->where('series_id', DB::table('series')->where('section_id', $this->section('MAR')->id)->value('id'))
            ->where('day', '2027-02-09')
            ->update(['state' => 'cancelled', 'reason' => 'boat trip']);
        $this->get($url)
            ->assertSee('cancelled, boat trip')
            ->assertSeeInOrder(['Next session', 'Thu 11 Feb']);
        $this->get(substr_replace($url, 'x', -9, 1))->assertNotFound();
    },
);

test('free and busy tells when, and nothing of what', function () {
    $teacher = personCalled('T-2');
    DB::table('busy_blocks')->insert([
        'person_id' => $teacher->id,
        'uid' => 'x',
        'title' => 'Dentist',
        'starts_at' => '2027-02-09 09:30+00',
        'ends_at' => '2027-02-09 11:00+00',
    ]);
    $text = $this->get(PersonFeed::busy($teacher))->assertOk()->getContent();
    $busy = Reader::read($text)->VFREEBUSY;
    $periods = array_map(
        strval(...),
        iterator_to_array(
            $busy->select('FREEBUSY') ? new ArrayIterator($busy->select('FREEBUSY')) : new ArrayIterator([]),
            false,
        ),
    );
    // The session from 10:00 to 10:47 in Madrid, and the dentist in the middle of it, are one.
    expect($periods[0])
        ->toBe('20270209T090000Z/20270209T110000Z')
        ->and($periods[1])
        ->toBe('20270211T090000Z/20270211T094700Z')
        ->and($text)
        ->not->toContain('Dentist')
        ->not->toContain('Marine');
});
