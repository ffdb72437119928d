<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Actions\Recording\FollowRecordings;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Post\Letters;
use Nomada\Core\Recording\RecordingState;

beforeEach(fn () => Storage::fake(FollowRecordings::DISK));

/** A session of Marine Science that was recorded, for 25 minutes, in two parts; S-1 and S-2 were inside. */
function recorded($test): Recording
{
    $test->school();
    momentAt('2027-02-09', '12:00');
    $session = Session::query()
        ->whereRelation('series.section', 'sourced_id', 'MAR')
        ->where('day', '2027-02-09')
        ->firstOrFail();
    $ms = 1_500_000;
    $samples = str_repeat('abc', 1000 * 500);
    $recording = Recording::query()->create([
        'session_id' => $session->id,
        'state' => RecordingState::Ready,
        'started_at' => $session->starts_at,
        'milliseconds' => $ms,
        'file' => 'one.wav',
        'type' => 'audio/wav',
        'keeps_until' => '2027-03-01',
    ]);
    Storage::disk(FollowRecordings::DISK)->put(
        'one.wav',
        'RIFF'.
            pack('V', 36 + strlen($samples)).
            'WAVEfmt '.
            pack('VvvVVvv', 16, 1, 1, 1000, 1000, 1, 8).
            'data'.
            pack('V', strlen($samples)).
            $samples,
    );
    $vtt =
        "WEBVTT\n\n00:00.000 --> 11:00.000\n<v Nadir Haddad>The tide rises\n\n11:10.000 --> 25:00.000\nand it falls\n";
    file_put_contents(sys_get_temp_dir().'/one.vtt', $vtt);
    Artisan::call('nomada:recording', [
        '--section' => ['MAR'],
        '--day' => '2027-02-09',
        '--vtt' => sys_get_temp_dir().'/one.vtt',
        '--json' => true,
    ]);
    expect(json_decode(Artisan::output(), true))->toBe([['from' => 0, 'to' => 665], ['from' => 665, 'to' => 1500]]);
    foreach (['S-1', 'S-2'] as $who) {
        DB::table('presence_events')->insert([
            'session_id' => $session->id,
            'who' => $who,
            'person_id' => personCalled($who)->id,
            'at' => '2027-02-09 09:00+00',
            'is_join' => true,
        ]);
    }

    return $recording->refresh();
}

/** @return list<string> where the parts of a page are played from */
function partsOf(string $html): array
{
    preg_match_all('/data-sound="([^"]+)"/', $html, $m);

    return array_map(html_entity_decode(...), $m[1]);
}

test('a recording is released part by part, and withdrawn again', function () {
    $recording = recorded($this);
    $path = "/recordings/$recording->id";
    $this->as('S-1')->get($path)->assertNotFound();
    // Who has not agreed is named before it is released.
    personCalled('S-1')->update(['may_be_recorded' => true]);
    $this->as('T-2')->get($path)->assertSee('1 student inside has no recording consent')->assertSee('Rui Mestre');
    $this->put("$path/release", ['whom' => 'all'])->assertSessionHasErrors('parts');
    $this->put("$path/release", ['whom' => 'all', 'parts' => [7]])->assertSessionHasErrors('parts');
    $this->put("$path/release", ['whom' => 'chosen', 'parts' => [1]])->assertSessionHasErrors('people');
    $this->put("$path/release", ['whom' => 'all', 'parts' => [1]])->assertSessionHasNoErrors();
    $page = $this->as('S-1')->get($path)->assertOk()->assertSee('The tide rises')->assertDontSee('and it falls');
    [$sound] = partsOf($page->getContent());
    $heard = $this->get($sound)->assertOk();
    expect(strlen($heard->streamedContent()))->toBe(44 + 665_000);
    $some = $this->get($sound, ['Range' => 'bytes=40-47']);
    expect([$some->getStatusCode(), $some->streamedContent(), $some->headers->get('Content-Range')])->toBe([
        206,
        pack('V', 665_000).'abca',
        'bytes 40-47/665044',
    ]);
    expect($this->get($sound, ['Range' => 'bytes=700000-'])->getStatusCode())->toBe(416);
    // The address is one person's; a part that is not released is nobody's.
    $this->as('S-2')->get($sound)->assertForbidden();
    $this->as('S-1')->get(str_replace('/parts/1', '/parts/2', $sound))->assertForbidden();
    $this->as('S-4')->get($path)->assertNotFound();
    $this->as('S-1')->get('/me')->assertSee('Recordings')->assertSee($path);
    $this->as('T-2')
        ->delete("$path/release")
        ->assertSessionHasNoErrors();
    $this->as('S-1')->get($path)->assertNotFound();
    $this->get($sound)->assertNotFound();
    $this->get('/me')->assertDontSee($path);
    expect(DB::table('audit_log')->where('kind', 'recording')->pluck('words')->all())->toBe([
        'Tue 9 Feb: parts 1 of the recording released to everybody',
        'Tue 9 Feb: recording withdrawn',
    ]);
});

test('to those who were absent, with a word', function () {
    $recording = recorded($this);
    $path = "/recordings/$recording->id";
    $this->as('T-2')
        ->put("$path/release", ['whom' => 'absent', 'parts' => [1, 2], 'word' => 'Harbour '])
        ->assertSessionHasNoErrors();
    // S-3 is the only one who was not inside.
    $this->as('S-1')->get($path)->assertNotFound();
    $this->as('S-3')->get($path)->assertSee('Password from your teacher')->assertDontSee('The tide rises');
    $this->post("$path/word", ['word' => 'beach'])->assertSessionHasErrors('word');
    $this->post("$path/word", ['word' => 'harbour'])->assertSessionHasNoErrors();
    $this->get($path)->assertSee('The tide rises')->assertSee('and it falls');
    expect(DB::table('recordings')->value('transcript_hash'))->not->toContain('arbour');
    // Anybody who was away is written to, once, however often it is released; anybody who was inside is not.
    $this->as('T-2')->put("$path/release", ['whom' => 'all', 'parts' => [1]]);
    expect(DB::table('emails')->where('kind', 'recording')->pluck('person_id')->all())->toBe([
        personCalled('S-3')->id,
    ]);
});

test('a guardian who was told of an absence is told of the recording, unless it is withdrawn before', function () {
    $this->standins();
    $recording = recorded($this);
    $student = personCalled('S-3');
    $guardian = personCalled('G-1');
    DB::table('guardianships')->insert(['student_id' => $student->id, 'guardian_id' => $guardian->id]);
    app(Letters::class)->missed($student, '2027-02-09', [$recording->session_id]);
    $release = "/recordings/$recording->id/release";
    $this->as('T-2')->put($release, ['whom' => 'all', 'parts' => [1]]);
    expect(DB::table('emails')->where('kind', 'recording')->count())->toBe(2);
    postGoes();
    $letters = implode(array_map(fn ($m): string => $m->text(), mailbox($this, 'G-1')));
    expect($letters)
        ->toContain("{$student->name()} missed Y8 Marine Science on Tue 9 Feb 10:00")
        ->toContain('/children/')
        ->not->toContain("/recordings/$recording->id");
    expect(mailbox($this, 'S-3')[0]->text())->toContain("/recordings/$recording->id");

    DB::table('emails')->where('kind', 'recording')->delete();
    $this->put($release, ['whom' => 'all', 'parts' => [1]]);
    $this->delete($release);
    postGoes();
    expect(mailbox($this, 'S-3'))->toHaveCount(1);
});

test('transcripts are searched, as far as whoever searches may see them', function () {
    $recording = recorded($this);
    $this->as('T-2')
        ->get('/sections/MAR/recordings?q=tide')
        ->assertSee('1 match')
        ->assertSee('Nadir Haddad: The tide rises');
    $this->as('S-1')->get('/sections/MAR/recordings?q=tide')->assertSee('No match');
    $this->as('T-2')->put("/recordings/$recording->id/release", ['whom' => 'all', 'parts' => [2]]);
    $this->as('S-1')->get('/sections/MAR/recordings?q=tide')->assertSee('No match');
    $this->get('/sections/MAR/recordings?q=falls')->assertSee('and it falls');
    $this->as('S-4')->get('/sections/MAR/recordings?q=falls')->assertNotFound();
});

test('the place is kept, and a transcript with a fault is not', function () {
    $recording = recorded($this);
    $this->as('T-2')
        ->post("/recordings/$recording->id/place", ['at' => 700_000])
        ->assertNoContent();
    $this->get("/recordings/$recording->id")->assertSee('data-place="700000"', false);
    $this->post("/recordings/$recording->id/transcript", [
        'transcript' => Illuminate\Http\UploadedFile::fake()->createWithContent(
            'b.vtt',
            "WEBVTT\n\n1:00 --> 2:00\nno\n",
        ),
    ])->assertSessionHasErrors([
        'transcript' => 'b.vtt, line 3: These are not times. Write them like 00:00:01.000 --> 00:00:04.000. Found '.
            '"1:00 --> 2:00".',
    ]);
    expect(DB::table('recording_cues')->count())->toBe(2);
});

test('where the section says so, a recording is released by itself, if everybody inside has agreed', function () {
    $recording = recorded($this);
    $this->as('T-2')
        ->put('/records/sections/MAR/release', ['on' => 1])
        ->assertSessionHas('said');
    $release = app(Nomada\App\Actions\Recording\ReleaseRecording::class);
    $release->byItself($recording->fresh());
    expect($recording->fresh()->state)->toBe(RecordingState::Ready);
    DB::table('people')
        ->whereIn('sourced_id', ['S-1', 'S-2'])
        ->update(['may_be_recorded' => true]);
    $release->byItself($recording->fresh());
    expect($recording->fresh()->state)->toBe(RecordingState::Released);
    $this->as('S-1')
        ->get("/recordings/$recording->id")
        ->assertSee('The tide rises')
        ->assertSee('and it falls');
});

test('a recording is kept for as long as the school says', function () {
    $recording = recorded($this);
    $this->as('T-2')->put("/recordings/$recording->id/release", ['whom' => 'all', 'parts' => [1]]);
    momentAt('2027-03-01', '12:00');
    Artisan::call('nomada:tidy');
    expect(Recording::query()->whereNotNull('deleted_at')->count())->toBe(0);
    momentAt('2027-03-02', '12:00');
    Artisan::call('nomada:tidy');
    $this->as('S-1')
        ->get("/recordings/$recording->id")
        ->assertNotFound();
    expect(Storage::disk(FollowRecordings::DISK)->exists('one.wav'))
        ->toBeFalse()
        ->and(DB::table('recording_cues')->count())
        ->toBe(0)
        ->and(DB::table('audit_log')->where('kind', 'recording')->orderByDesc('id')->value('words'))
        ->toBe('recording deleted; it was kept until Mon 1 Mar');
});

test('a released recording stands on the course page instead of the join link', function () {
    $this->standins();
    $recording = recorded($this);
    Artisan::call('nomada:links', ['--section' => ['MAR']]);
    $wanted = fn (): string => (string) json_encode(
        DB::table('published_items')->where('key', 'like', 'MAR/week-5')->value('desired_hash'),
    );
    $before = $wanted();
    $this->as('T-2')->put("/recordings/$recording->id/release", ['whom' => 'all', 'parts' => [1]]);
    expect($wanted())->not->toBe($before);
});

test('a recording whose session was taken out is not there, and breaks no page', function () {
    $recording = recorded($this);
    DB::table('sessions')->where('id', $recording->session_id)->delete();
    foreach (['A-1', 'T-2', 'S-1'] as $who) {
        $this->as($who)
            ->get("/recordings/$recording->id")
            ->assertNotFound();
    }
    $this->as('A-1')->get('/sections/MAR/recordings')->assertOk();
    $this->get('/records')->assertOk();
    $this->as('S-1')->get('/me')->assertOk();
});
