<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Account\Totp;
use Nomada\Standins\MimeMessage;
use Tests\Support\RunningCopy;
use Tests\Support\SmallSchool;

// A school that has nothing but the machine: the first coordinator, the import, and everybody's own way in.

/** The link of the last letter to an address, once it is there. */
function linkInPost(RunningCopy $copy, string $address): string
{
    for ($until = microtime(true) + 300; microtime(true) < $until; usleep(100_000)) {
        $letters = $copy->standins()->get('/post/people/'.rawurlencode($address))['letters'] ?? [];
        if ($letters !== [] && preg_match('#(/account/passes/\S+)#', (new MimeMessage($letters[0]))->text(), $m)) {
            return $m[1];
        }
    }
    throw new RuntimeException("No letter to $address");
}

test('from a new machine to a student who is signed in, in the browser', function (): void {
    $copy = RunningCopy::bare();
    try {
        Artisan::call('nomada:coordinator', [
            'address' => 'nora@new.example',
            '--given' => 'Nora',
            '--family' => 'Pardo',
        ]);
        preg_match('#(/account/passes/\S+)#', Artisan::output(), $m);
        $b = browser()->fresh($copy->url())->open($m[1]);
        $b->see('Nora Pardo, you will sign in as nora@new.example.')
            ->fill('password', 'password2027')
            ->fill('again', 'password2027')
            ->press('Save password')
            ->see('one of the most common ones');
        $b->fill('password', 'olas y mareas')
            ->fill('again', 'olas y mareas')
            ->press('Save password')
            ->see('Password saved');
        $b->fill('email', 'nora@new.example')->fill('password', 'olas y mareas')->press('Sign in');

        // A coordinator's second factor comes first.
        $b->see('Coordinators need two-step sign-in')
            ->fill('own_password', 'olas y mareas')
            ->press('Set up')
            ->see('type the key into it');
        $nora = fn (): Person => Person::query()->where('email', 'nora@new.example')->firstOrFail();
        $b->fill('code', Totp::of((string) $nora()->totp_secret)->code(time()))->press('Turn it on');
        $b->see('Your ten recovery codes');
        $paper = $b->text('ol.codes li');
        expect($b->accessibilityFaults())->toBe([]);
        $b->press('I have saved them')->see('10 recovery codes are left');

        // The school: typed on the first page, or brought as files.
        $b->open('/')->see('Set up your school');
        expect($b->accessibilityFaults())->toBe([]);
        $b->fill('name', 'Sea School')
            ->fill('zone', 'Europe/Lisbon')
            ->fill('term', 'Spring')
            ->fill('term_first', '11 Jan')
            ->fill('term_last', '23 Apr');
        $b->find('#sections')->sendKeys('Art, 8, Nadir');
        $b->press('Preview')->see('both names of its teacher');
        $b->find('#sections')->sendKeys(', Haddad, nadir@school.example');
        $b->press('Preview')->see('no errors')->see('Sea School');
        $folder = SmallSchool::folder();
        $b->open('/term/import');
        $b->find('#files')->sendKeys(implode("\n", glob("$folder/*.*") ?: []));
        $b->press('Preview')->see('no errors')->press('Save')->see('Imported: ');

        // A teacher and the students are invited; the teacher signs in, forgets the password, and sets another.
        $b->open('/accounts?role=teacher')->press('Invite the 2 people left')->see('2 people invited by email');
        $teacher = Person::query()->where('sourced_id', 'T-2')->firstOrFail();
        $link = linkInPost($copy, (string) $teacher->email);
        $b->press('N. Pardo')->press('Sign out')->see('Forgot your password?');
        $b->open($link)
            ->fill('password', 'gaviotas al alba')
            ->fill('again', 'gaviotas al alba')
            ->press('Save password');
        $b->fill('email', (string) $teacher->email)
            ->fill('password', 'gaviotas al alba')
            ->press('Sign in')
            ->see('Today');
        $b->press($teacher->shortName())->press('Sign out')->press('Forgot your password?');
        DB::table('emails')->where('kind', 'invitation')->where('person_id', $teacher->id)->delete();
        $copy->standins()->reset();
        $b->fill('email', (string) $teacher->email)
            ->press('Email me a link')
            ->see('If that email address is registered, we have sent you an email with a link');
        $b->open(linkInPost($copy, (string) $teacher->email))
            ->fill('password', 'gaviotas de noche')
            ->fill('again', 'gaviotas de noche');
        $b->press('Save password')->see('Password saved');

        // The coordinator comes back by a code on paper, and invites a student.
        $b->fill('email', 'nora@new.example')
            ->fill('password', 'olas y mareas')
            ->press('Sign in')
            ->see('Two-step sign-in');
        $b->fill('code', $paper)->press('Sign in')->see('All sections');
        $b->open('/people/S-1')->press('Invite to sign in')->see('an email with the link is on its way');
        $student = Person::query()->where('sourced_id', 'S-1')->firstOrFail();
        $link = linkInPost($copy, (string) $student->email);
        $b->press('N. Pardo')->press('Sign out')->see('Forgot your password?');
        $b->open($link)->fill('password', 'un faro verde')->fill('again', 'un faro verde')->press('Save password');
        $b->fill('email', (string) $student->email)
            ->fill('password', 'un faro verde')
            ->press('Sign in')
            ->see($student->given_name);
        $b->open('/account')->see('Signed-in devices')->see('this device');
        expect($b->accessibilityFaults())->toBe([])->and($b->troubles())->toBe([]);
    } finally {
        $copy->end();
    }
});
