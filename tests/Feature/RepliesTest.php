<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\URL;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;

beforeEach(function () {
    $this->standins();
    $this->school();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    app(Letters::class)->invite(Series::query()->whereRelation('section', 'sourced_id', 'MAR')->firstOrFail());
    postGoes();
});

/** What a mail program sends back: the invitation, with the answer of one person. */
function answered(
    string $address,
    string $partstat,
    string $at = '20270209T090000Z',
    string $event = '',
    ?string $from = null,
): string {
    $from ??= "<$address>";
    $uid = DB::table('series')
        ->join('sections', 'sections.id', '=', 'section_id')
        ->where('sections.sourced_id', 'MAR')
        ->value('uid');

    return "From: $from\r\nTo: office@school.example\r\nMIME-Version: 1.0\r\nContent-Type: multipart/mixed; ".
        "boundary=b\r\n\r\n--b\r\nContent-Type: text/plain\r\n\r\nYes\r\n--b\r\nContent-Type: text/calendar; ".
        "method=REPLY\r\n\r\nBEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nMETHOD:REPLY\r\nBEGIN:VEVENT\r\n".
        "UID:$uid\r\nDTSTAMP:$at\r\n{$event}".
        "ATTENDEE;PARTSTAT=$partstat:mailto:$address\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n--b--\r\n";
}

test('answers come by mail, the latest counts, and the section says who has and who has not', function () {
    $to = URL::signedRoute('replies');
    $post = fn (string $message) => $this->call(
        'POST',
        $to,
        [],
        [],
        [],
        ['CONTENT_TYPE' => 'message/rfc822'],
        $message,
    );
    $this->as('T-2')->get('/sections/MAR')->assertSee('3 have not replied')->assertSee('of 3 invited');
    $post(answered('GALIA@school.example', 'ACCEPTED'))->assertOk()->assertSee('1 new reply.');
    $post(answered('galia@school.example', 'ACCEPTED'))->assertOk()->assertSee('Already known.');
    // The one that was given before comes later.
    $post(answered('galia@school.example', 'DECLINED', '20270208T090000Z'))->assertSee('Already known.');
    $post(answered('rui@school.example', 'DECLINED'))->assertSee('1 new reply.');
    $post(answered('rui@school.example', 'DECLINED', event: "RECURRENCE-ID:20270211T090000Z\r\n"));
    // Somebody else's answer, and what is no answer.
    $post(answered('stranger@home.example', 'ACCEPTED'))->assertSee('Already known.');
    $post('Subject: hello')->assertStatus(422)->assertSee('This is not a reply to an invitation.');
    $post(str_repeat('x', 1_000_001))->assertStatus(413);
    $this->as('T-2')
        ->get('/sections/MAR')
        ->assertSeeInOrder(['1 accepted', '1 declined', '1 has not replied'])
        ->assertSeeInOrder(['Declined', 'Rui Mestre (declined 1 session)', 'Accepted', 'Galia Zabalo']);
    expect(DB::table('invitation_responses')->count())->toBe(3);
    // Nobody answers for somebody else, whatever name stands before their own address.
    foreach (
        [
            '<teo@school.example>',
            '"galia@school.example" <teo@school.example>',
            'galia@school.example, <teo@school.example>',
        ] as $from
    ) {
        $post(answered('galia@school.example', 'DECLINED', '20270210T090000Z', from: $from))->assertStatus(422);
    }
    // A stamp from the future counts as now: it does not beat what is answered later.
    $post(
        answered('galia@school.example', 'TENTATIVE', '20990101T000000Z', from: 'galia+home@school.example'),
    )->assertOk();
    expect(
        (int) strtotime((string) DB::table('invitation_responses')->where('answer', 'tentative')->value('at')),
    )->toBeLessThanOrEqual(time());
    // Without the signature it is nobody's.
    $this->post('/replies')->assertForbidden();
    $this->as('A-1')->get('/publishing/places')->assertSee('/replies?signature=');
});

test('a mailbox is read once, and what was read stays in it', function () {
    $folder = sys_get_temp_dir().'/mail-'.bin2hex(random_bytes(4));
    expect(Artisan::call('nomada:replies', ['folder' => $folder]))
        ->toBe(2)
        ->and(Artisan::output())
        ->toContain('is not a Maildir: it has no folders new and cur.');
    foreach (['new', 'cur', 'tmp'] as $sub) {
        mkdir("$folder/$sub", recursive: true);
    }
    file_put_contents("$folder/new/1.host", answered('galia@school.example', 'TENTATIVE'));
    file_put_contents("$folder/new/2.host", 'Subject: an advertisement');
    Artisan::call('nomada:replies', ['folder' => $folder, '--json' => true]);
    expect(json_decode(Artisan::output(), true))
        ->toBe(['read' => 2, 'answers' => 1, 'other' => 1])
        ->and(scandir("$folder/new"))
        ->toBe(['.', '..'])
        ->and(array_slice(scandir("$folder/cur"), 2))
        ->toBe(['1.host:2,S', '2.host:2,S'])
        ->and(DB::table('invitation_responses')->value('answer'))
        ->toBe('tentative');
    Artisan::call('nomada:replies', ['folder' => $folder]);
    expect(Artisan::output())->toContain('0 messages read');
    // Where no mailbox is named, nothing is read and nothing is wrong.
    expect(Artisan::call('nomada:replies'))->toBe(0);
});
