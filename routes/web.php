<?php

use Illuminate\Support\Facades\Route;
use Nomada\App\Http\Controllers\Account\AccountController;
use Nomada\App\Http\Controllers\Account\PassController;
use Nomada\App\Http\Controllers\Account\PeopleController;
use Nomada\App\Http\Controllers\BoardController;
use Nomada\App\Http\Controllers\ClockController;
use Nomada\App\Http\Controllers\FindController;
use Nomada\App\Http\Controllers\HouseController;
use Nomada\App\Http\Controllers\Joining\DoorController;
use Nomada\App\Http\Controllers\Joining\DropInController;
use Nomada\App\Http\Controllers\Joining\EnterController;
use Nomada\App\Http\Controllers\Joining\JoiningController;
use Nomada\App\Http\Controllers\Joining\LinkController;
use Nomada\App\Http\Controllers\Joining\LiveController;
use Nomada\App\Http\Controllers\Joining\SeriesDoorController;
use Nomada\App\Http\Controllers\PersonController;
use Nomada\App\Http\Controllers\Presence\AbsenceController;
use Nomada\App\Http\Controllers\Presence\AttendanceController;
use Nomada\App\Http\Controllers\Presence\PresenceListController;
use Nomada\App\Http\Controllers\Presence\RecordingController;
use Nomada\App\Http\Controllers\Presence\RecordsController;
use Nomada\App\Http\Controllers\Presence\TodayController;
use Nomada\App\Http\Controllers\Publishing\DriftController;
use Nomada\App\Http\Controllers\Publishing\FeedController;
use Nomada\App\Http\Controllers\Publishing\LookController;
use Nomada\App\Http\Controllers\Publishing\MaterialController;
use Nomada\App\Http\Controllers\Publishing\PlacesController;
use Nomada\App\Http\Controllers\Publishing\PublishingController;
use Nomada\App\Http\Controllers\Publishing\ReminderController;
use Nomada\App\Http\Controllers\Publishing\RunController;
use Nomada\App\Http\Controllers\Publishing\ShowingController;
use Nomada\App\Http\Controllers\Publishing\WebhookController;
use Nomada\App\Http\Controllers\Registration\DeskController;
use Nomada\App\Http\Controllers\Registration\LetterController;
use Nomada\App\Http\Controllers\Registration\MeController;
use Nomada\App\Http\Controllers\Registration\RegisterController;
use Nomada\App\Http\Controllers\Registration\RegistrationController;
use Nomada\App\Http\Controllers\Registration\ReplyController;
use Nomada\App\Http\Controllers\Registration\RosterController;
use Nomada\App\Http\Controllers\Registration\TemplateController;
use Nomada\App\Http\Controllers\SignInController;
use Nomada\App\Http\Controllers\Term\BeginController;
use Nomada\App\Http\Controllers\Term\CalendarController;
use Nomada\App\Http\Controllers\Term\ClosureController;
use Nomada\App\Http\Controllers\Term\ImportController;
use Nomada\App\Http\Controllers\Term\MembershipController;
use Nomada\App\Http\Controllers\Term\TermController;
use Nomada\App\Http\Controllers\Timetable\ClashController;
use Nomada\App\Http\Controllers\Timetable\ContactTimeController;
use Nomada\App\Http\Controllers\Timetable\EventImportController;
use Nomada\App\Http\Controllers\Timetable\HistoryController;
use Nomada\App\Http\Controllers\Timetable\LicenceController;
use Nomada\App\Http\Controllers\Timetable\MovesController;
use Nomada\App\Http\Controllers\Timetable\SectionController;
use Nomada\App\Http\Controllers\Timetable\SeriesController;
use Nomada\App\Http\Controllers\Timetable\SessionController;
use Nomada\App\Http\Controllers\Timetable\SharingController;
use Nomada\App\Http\Controllers\Timetable\TimetableController;
use Nomada\Core\Joining\LinkSecret;
use Nomada\Core\Joining\ShortAddress;

// Ids are numbers that fit the database's; anything else is no page.
foreach (
    [
        'pass',
        'result',
        'room',
        'person',
        'session',
        'series',
        'registration',
        'change',
        'rule',
        'enrolment',
        'link',
        'closure',
        'plan',
        'import',
        'day',
        'term',
        'account',
        'added',
        'placement',
        'material',
        'recording',
        'part',
        'absence',
        'webhook',
        'message',
    ] as $id
) {
    Route::pattern($id, '[0-9]{1,18}');
}

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SignInController::class, 'store'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.store');
    Route::get('/sign-in/code', [SignInController::class, 'second'])->name('sign-in.code');
    Route::post('/sign-in/code', [SignInController::class, 'enter'])
        ->middleware('throttle:sign-in')
        ->name('sign-in.enter');
    Route::get('/sign-in/forgotten', [PassController::class, 'forgotten'])->name('forgotten');
    Route::post('/sign-in/forgotten', [PassController::class, 'ask'])
        ->middleware('throttle:forgotten')
        ->name('forgotten.ask');
    Route::post('/sign-in/demo', [SignInController::class, 'demo'])->name('sign-in.demo');
});

// By the link in a letter: signed, for one use, until it ends.
Route::middleware(['signed:relative', 'throttle:door'])->group(function (): void {
    Route::get('/account/passes/{pass}', [PassController::class, 'show'])->name('account.pass');
    Route::post('/account/passes/{pass}', [PassController::class, 'store'])->name('account.pass.use');
});

// The door: a guest's pass opens without an account; every other link asks to sign in first.
Route::get('/join/{secret}', [DoorController::class, 'show'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:door')
    ->name('door');
Route::post('/join/{secret}', [DoorController::class, 'enter'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:door')
    ->name('door.enter');
Route::post('/join/{secret}/pass', [DoorController::class, 'askForPass'])
    ->where('secret', LinkSecret::PATTERN)
    ->middleware('throttle:code')
    ->name('door.ask');
// Asked every few seconds by everybody who waits: it starts no session and asks for nobody.
Route::get('/join/{secret}/look', [DoorController::class, 'look'])
    ->where('secret', LinkSecret::PATTERN)
    ->withoutMiddleware('web')
    ->middleware(['throttle:look', 'signed'])
    ->name('door.look');
// What programs and other sites read by a secret address: it starts no session and sets no cookie.
Route::withoutMiddleware('web')
    ->where(['secret' => LinkSecret::PATTERN])
    ->group(function (): void {
        Route::get('/feeds/{secret}.ics', FeedController::class)->middleware('throttle:feed')->name('feed');
        Route::get('/feeds/{secret}.atom', [FeedController::class, 'stream'])
            ->middleware('throttle:feed')
            ->name('feed.stream');
        Route::get('/feeds/{secret}.ifb', [FeedController::class, 'busy'])
            ->middleware('throttle:feed')
            ->name('feed.busy');
        Route::get('/feeds/{secret}/page', [FeedController::class, 'page'])
            ->middleware('throttle:page')
            ->name('feed.page');
    });

// By the link in a guardian's letter: the children's attendance, and where an absence is told.
Route::middleware(['signed', 'throttle:door'])->group(function (): void {
    Route::get('/children/{person}', [AbsenceController::class, 'children'])->name('children');
    Route::post('/children/{person}', [AbsenceController::class, 'tellForChild'])->name('children.tell');
});

// By the link in a guardian's letter, without signing in; it is signed, and stops nothing but that person's letters.
Route::get('/letters/{person}/stop', [LetterController::class, 'stopping'])
    ->middleware(['signed', 'throttle:door'])
    ->name('letters.stop');
Route::post('/letters/{person}/stop', [LetterController::class, 'stop'])
    ->middleware(['signed', 'throttle:door'])
    ->name('letters.stop.keep');

// Answers to invitations, handed on by a mail server; the address is on Places.
Route::post('/replies', ReplyController::class)
    ->middleware(['signed', 'throttle:look'])
    ->name('replies');

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy'])->name('sign-out');
    Route::post('/clock', ClockController::class)->name('clock');
    Route::get('/', BoardController::class)->name('board');
    Route::get('/board/rows', [BoardController::class, 'rows'])
        ->middleware(['can:staff', 'looks'])
        ->name('board.rows');
    Route::get('/me', MeController::class)->name('me');
    // For whoever has a part in its section, which is its own answer.
    Route::get('/materials/{file}', [MaterialController::class, 'file'])
        ->where('file', '[0-9A-HJKMNP-TV-Z]{26}')
        ->name('material');
    Route::put('/me/language', [MeController::class, 'language'])->name('me.language');
    Route::put('/me/reminder', [ReminderController::class, 'own'])->name('me.remind');
    Route::post('/me/feed', [FeedController::class, 'renew'])->name('feed.renew');
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account/password', [AccountController::class, 'password'])
        ->middleware('throttle:code')
        ->name('account.password');
    Route::post('/account/second-factor', [AccountController::class, 'begin'])->name('account.second-factor');
    Route::put('/account/second-factor', [AccountController::class, 'confirm'])
        ->middleware('throttle:code')
        ->name('account.second-factor.confirm');
    Route::delete('/account/second-factor', [AccountController::class, 'drop'])
        ->middleware('throttle:code')
        ->name('account.second-factor.drop');
    Route::get('/account/codes', [AccountController::class, 'shown'])->name('account.codes');
    Route::post('/account/codes', [AccountController::class, 'codes'])
        ->middleware('throttle:code')
        ->name('account.codes.fresh');
    Route::delete('/account/sign-ins/{id?}', [AccountController::class, 'end'])
        ->where('id', '[0-9]{1,18}')
        ->name('account.sign-ins.end');

    // The door: for whoever is signed in; who gets in is its own answer.
    Route::get('/go/{address}', [DoorController::class, 'short'])
        ->where('address', ShortAddress::PATTERN)
        ->middleware('throttle:door')
        ->name('short');
    Route::get('/enter/{series}', [EnterController::class, 'series'])
        ->whereNumber('series')
        ->name('enter');
    Route::get('/enter/rooms/{room}', [EnterController::class, 'room'])
        ->whereNumber('room')
        ->name('enter.room');
    Route::get('/join', [DoorController::class, 'ask'])->name('join');
    Route::post('/join', [DoorController::class, 'find'])
        ->middleware('throttle:code')
        ->name('join.find');

    // A student's own registration; staff only look at the page.
    Route::get('/register/{series}', [RegisterController::class, 'show'])->name('register');
    // A recording is for whoever hosts its session, and for students to whom it is released: asked for each.
    Route::get('/recordings/{recording}', [RecordingController::class, 'show'])->name('recording');
    Route::post('/recordings/{recording}/word', [RecordingController::class, 'word'])
        ->middleware('throttle:code')
        ->name('recording.word');
    Route::post('/recordings/{recording}/place', [RecordingController::class, 'place'])->name('recording.place');
    Route::get('/recordings/{recording}/parts/{part}', [RecordingController::class, 'part'])->name(
        'recording.part',
    );
    Route::get('/recordings/{recording}/parts/{part}/words.vtt', [RecordingController::class, 'transcript'])->name(
        'recording.transcript',
    );
    Route::get('/sections/{section}/recordings', [RecordingController::class, 'search'])->name('recordings.search');
    Route::middleware('can:study')->group(function (): void {
        Route::get('/me/attendance', [AbsenceController::class, 'own'])->name('attendance.own');
        Route::post('/register/{series}', [RegisterController::class, 'store'])
            ->middleware('throttle:code')
            ->name('register.store');
        Route::delete('/register/{series}/{registration}', [RegisterController::class, 'destroy'])
            ->withoutScopedBindings()
            ->name('register.destroy');
    });

    Route::middleware('can:staff')->group(function (): void {
        Route::get('/term', TermController::class)->name('term');
        Route::get('/timetable', TimetableController::class)->name('timetable');
        Route::get('/timetable/sheets', [TimetableController::class, 'sheets'])->name('timetable.sheets');
        Route::get('/timetable/clashes', [ClashController::class, 'index'])->name('clashes');
        Route::get('/timetable/contact-time', [ContactTimeController::class, 'index'])->name('contact-time');
        Route::get('/timetable/contact-time/rows', [ContactTimeController::class, 'rows'])
            ->middleware('looks')
            ->name('contact-time.rows');
        Route::get('/timetable/contact-time.{as}', [ContactTimeController::class, 'export'])
            ->where('as', 'csv|xlsx')
            ->name('contact-time.export');
        Route::get('/term/closed-days.ics', [ClosureController::class, 'export'])->name('closures.export');
        Route::post('/term/choice', [TermController::class, 'choose'])->name('term.choose');
        Route::get('/joining', [JoiningController::class, 'index'])->name('joining');
        Route::get('/joining/rows', [JoiningController::class, 'rows'])
            ->middleware('looks')
            ->name('joining.rows');
        // Each series chosen is authorised on its own.
        Route::post('/joining/acts', [JoiningController::class, 'act'])->name('joining.act');
        Route::get('/joining/acts/{result}', [JoiningController::class, 'result'])->name('joining.result');
        Route::post('/joining/acts/{result}/undoing', [JoiningController::class, 'undoResult'])->name(
            'joining.result.undo',
        );
        Route::get('/sections/{section}/series/{series}/joining', [SeriesDoorController::class, 'show'])
            ->middleware('can:serve,section')
            ->scopeBindings()
            ->name('series.door');
        Route::middleware('can:serve,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::put('/sections/{section}/series/{series}/registering', [
                    DeskController::class,
                    'mode',
                ])->name('series.registering');
                Route::post('/sections/{section}/series/{series}/letters', [
                    LetterController::class,
                    'invite',
                ])->name('series.invite');
                Route::post('/sections/{section}/series/{series}/letters/{link}', [
                    LetterController::class,
                    'again',
                ])
                    ->withoutScopedBindings()
                    ->name('series.again');
                Route::put('/sections/{section}/series/{series}/preset', [
                    SeriesDoorController::class,
                    'preset',
                ])->name('series.preset');
                Route::put('/sections/{section}/series/{series}/rules', [
                    SeriesDoorController::class,
                    'door',
                ])->name('series.rules');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}/rules', [
                    SeriesDoorController::class,
                    'asSeries',
                ])->name('series.rules.session');
                Route::post('/sections/{section}/series/{series}/openness', [
                    SeriesDoorController::class,
                    'accept',
                ])->name('series.open.accept');
                Route::post('/sections/{section}/series/{series}/hiding', [
                    SeriesDoorController::class,
                    'hide',
                ])->name('series.hide');
                Route::post('/sections/{section}/series/{series}/replacement', [
                    SeriesDoorController::class,
                    'replace',
                ])->name('series.replace');
                Route::put('/sections/{section}/series/{series}/short-address', [
                    SeriesDoorController::class,
                    'name',
                ])->name('series.short');
                Route::post('/sections/{section}/series/{series}/guests', [
                    SeriesDoorController::class,
                    'guest',
                ])->name('series.guest');
                Route::delete('/sections/{section}/series/{series}/guests/{link}', [
                    SeriesDoorController::class,
                    'withdraw',
                ])->name('series.guest.withdraw');
            });
        Route::get('/live/{session}', [LiveController::class, 'show'])->name('live');
        Route::post('/live/{session}', [LiveController::class, 'act'])->name('live.act');
        // Each drop-in room is authorised by its section.
        Route::get('/joining/drop-in', [DropInController::class, 'index'])->name('drop-ins');
        Route::post('/joining/drop-in', [DropInController::class, 'store'])->name('drop-ins.store');
        Route::put('/joining/drop-in/{room}', [DropInController::class, 'update'])->name('drop-ins.update');
        Route::post('/joining/drop-in/{room}/hiding', [DropInController::class, 'hide'])->name('drop-ins.hide');
        Route::post('/joining/drop-in/{room}/replacement', [DropInController::class, 'replace'])->name(
            'drop-ins.replace',
        );
        Route::delete('/joining/drop-in/{room}', [DropInController::class, 'destroy'])->name('drop-ins.destroy');
        Route::get('/joining/drop-in/{room}/live', [LiveController::class, 'dropIn'])->name('drop-in.live');
        Route::post('/joining/drop-in/{room}/live', [LiveController::class, 'dropInAct'])->name('drop-in.live.act');
        Route::get('/registration', RegistrationController::class)->name('registration');
        Route::get('/registration/rows', [RegistrationController::class, 'rows'])
            ->middleware('looks')
            ->name('registration.rows');
        // Each registration is authorised by its section.
        Route::get('/registration/desk', [DeskController::class, 'index'])->name('desk');
        Route::post('/registration/certain', [DeskController::class, 'certain'])->name('desk.certain');
        Route::post('/registration/{registration}/acceptance', [DeskController::class, 'accept'])->name(
            'desk.accept',
        );
        Route::post('/registration/{registration}/decline', [DeskController::class, 'decline'])->name(
            'desk.decline',
        );
        Route::post('/registration/{registration}/section', [DeskController::class, 'send'])->name('desk.send');
        Route::delete('/registration/{registration}/decision', [DeskController::class, 'undo'])->name('desk.undo');
        Route::delete('/registration/{registration}', [DeskController::class, 'withdraw'])->name('desk.withdraw');
        Route::get('/publishing', [PublishingController::class, 'index'])->name('publishing');
        Route::get('/today', TodayController::class)->name('today');
        Route::post('/today/start', [TodayController::class, 'start'])->name('today.start');
        Route::get('/sections/{section}/start', [TodayController::class, 'choose'])->name('today.choose');
        Route::get('/records', RecordsController::class)->name('records');
        Route::get('/records/rows', [RecordsController::class, 'rows'])
            ->middleware('looks')
            ->name('records.rows');
        Route::get('/records/missed', [AbsenceController::class, 'missed'])->name('missed');
        Route::post('/records/missed', [AbsenceController::class, 'write'])->name('missed.write');
        // One student's: the sections that whoever looks has in common with them.
        Route::get('/records/people/{sourcedId}', [AbsenceController::class, 'student'])->name(
            'attendance.student',
        );
        Route::get('/records/sections/{section}', [AttendanceController::class, 'section'])
            ->middleware('can:view,section')
            ->name('attendance');
        Route::get('/records/sections/{section}/as/{as}', [AttendanceController::class, 'export'])
            ->middleware('can:view,section')
            ->name('attendance.export');
        Route::get('/records/sections/{section}/sessions/{session}', [AttendanceController::class, 'session'])
            ->middleware('can:view,section')
            ->name('attendance.session');
        Route::middleware('can:serve,section')->group(function (): void {
            $sessions = '/records/sections/{section}/sessions/{session}';
            Route::post("$sessions/corrections", [AttendanceController::class, 'correct'])->name(
                'attendance.correct',
            );
            Route::delete("$sessions/corrections/{who}", [AttendanceController::class, 'asComputed'])->name(
                'attendance.as-computed',
            );
            Route::post("$sessions/reading", [AttendanceController::class, 'read'])->name('attendance.read');
            Route::put('/records/sections/{section}/formula', [AttendanceController::class, 'formula'])->name(
                'attendance.formula',
            );
            Route::put('/records/sections/{section}/scores', [AttendanceController::class, 'score'])->name(
                'attendance.score',
            );
            Route::put('/records/sections/{section}/release', [AttendanceController::class, 'byItself'])->name(
                'attendance.by-itself',
            );
            Route::get('/records/sections/{section}/lists', [PresenceListController::class, 'ask'])->name(
                'presence-lists',
            );
            Route::post('/records/sections/{section}/lists', [PresenceListController::class, 'store'])->name(
                'presence-lists.store',
            );
            Route::get('/records/sections/{section}/lists/{key}', [PresenceListController::class, 'show'])->name(
                'presence-lists.show',
            );
            Route::post('/records/sections/{section}/lists/{key}', [PresenceListController::class, 'take'])->name(
                'presence-lists.take',
            );
        });
        // Each recording is authorised by its session.
        Route::put('/recordings/{recording}/release', [RecordingController::class, 'release'])->name(
            'recording.release',
        );
        Route::delete('/recordings/{recording}/release', [RecordingController::class, 'withdraw'])->name(
            'recording.withdraw',
        );
        Route::post('/recordings/{recording}/transcript', [RecordingController::class, 'keepTranscript'])->name(
            'recording.keep-transcript',
        );
        Route::get('/find', FindController::class)->middleware('looks')->name('find');
        Route::get('/people/{sourcedId}', PersonController::class)->name('person');
        Route::get('/people/{sourcedId}/look', LookController::class)->name('look');
        Route::get('/people/{sourcedId}/calendar.ics', [FeedController::class, 'ofPerson'])->name(
            'person.calendar',
        );
        Route::get('/sections/{section}/calendar.ics', [FeedController::class, 'ofSection'])->name(
            'section.calendar',
        );
        Route::post('/sections/{section}/materials', [MaterialController::class, 'store'])->name('materials.store');
        Route::delete('/sections/{section}/materials/{material}', [MaterialController::class, 'destroy'])->name(
            'materials.destroy',
        );
        Route::post('/sections/{section}/addresses', [FeedController::class, 'renewSection'])->name(
            'section.addresses',
        );
        Route::put('/sections/{section}/reminder', [ReminderController::class, 'section'])->name('section.remind');
        Route::get('/sections/{section}/cartridge', [FeedController::class, 'cartridge'])->name(
            'section.cartridge',
        );

        Route::get('/sections/{section}', SectionController::class)->name('section');
        // Who may is asked before what was typed is read.
        Route::middleware('can:timetable,section')
            ->scopeBindings()
            ->group(function (): void {
                Route::post('/sections/{section}/series/preview', [SeriesController::class, 'preview'])
                    ->middleware('looks')
                    ->name('series.preview');
                Route::post('/sections/{section}/series', [SeriesController::class, 'store'])->name('series.store');
                Route::put('/sections/{section}/series/{series}', [SeriesController::class, 'update'])->name(
                    'series.update',
                );
                Route::delete('/sections/{section}/series/{series}', [SeriesController::class, 'destroy'])->name(
                    'series.destroy',
                );
                Route::post('/sections/{section}/series/{series}/sessions/{session}/cancellation', [
                    SessionController::class,
                    'cancel',
                ])->name('session.cancel');
                Route::put('/sections/{section}/series/{series}/sessions/{session}', [
                    SessionController::class,
                    'move',
                ])->name('session.move');
                Route::post('/sections/{section}/series/{series}/sessions/{session}/moving', [
                    SessionController::class,
                    'look',
                ])
                    ->middleware('looks')
                    ->name('session.look');
                Route::get('/sections/{section}/series/{series}/sessions/{session}/busy', [
                    SessionController::class,
                    'busy',
                ])
                    ->middleware('looks')
                    ->name('session.busy');
                Route::put('/sections/{section}/series/{series}/sessions/{session}/particulars', [
                    SessionController::class,
                    'tell',
                ])->name('session.tell');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}', [
                    SessionController::class,
                    'remove',
                ])->name('session.remove');
                Route::post('/sections/{section}/series/{series}/sessions', [
                    SessionController::class,
                    'add',
                ])->name('session.add');
                Route::put('/sections/{section}/series/{series}/topics', [
                    SharingController::class,
                    'topics',
                ])->name('series.topics');
                Route::post('/sections/{section}/series/{series}/sections', [
                    SharingController::class,
                    'store',
                ])->name('series.share');
                Route::post('/sections/{section}/changes/{change}/undoing', [
                    HistoryController::class,
                    'undo',
                ])->name('change.undo');
                Route::post('/sections/{section}/changes/{change}/letters', [
                    HistoryController::class,
                    'tell',
                ])->name('change.tell');
                Route::post('/sections/{section}/people', [MembershipController::class, 'store'])->name(
                    'memberships.store',
                );
                Route::delete('/sections/{section}/people/{enrolment}', [
                    MembershipController::class,
                    'destroy',
                ])->name('memberships.destroy');
                Route::post('/sections/{section}/observer-rules', [MembershipController::class, 'rule'])->name(
                    'observer-rules.store',
                );
                Route::delete('/sections/{section}/observer-rules/{rule}', [
                    MembershipController::class,
                    'unrule',
                ])->name('observer-rules.destroy');
                Route::delete('/sections/{section}/series/{series}/sessions/{session}/cancellation', [
                    SessionController::class,
                    'restore',
                ])->name('session.restore');
            });

        Route::delete('/sections/{section}/series/{series}/sections/{other:sourced_id}', [
            SharingController::class,
            'destroy',
        ])
            ->middleware('can:timetable,section')
            ->withoutScopedBindings()
            ->name('series.unshare');

        // Each section chosen is authorised on its own (ChosenSections).
        Route::post('/joining/links', [LinkController::class, 'store'])->name('links.store');
        Route::post('/registration/rosters', [RosterController::class, 'store'])->name('rosters.store');
        Route::post('/publishing/chosen', [PublishingController::class, 'choose'])->name('publishing.choose');
        Route::post('/publishing/runs', [PublishingController::class, 'store'])->name('publishing.store');
        Route::get('/publishing/runs', [RunController::class, 'index'])->name('runs');
        Route::get('/publishing/runs/{run}', [RunController::class, 'show'])->name('run');
        Route::get('/publishing/runs/{run}/progress', [RunController::class, 'progress'])
            ->middleware('looks')
            ->name('run.progress');
        Route::post('/publishing/runs/{run}/again', [RunController::class, 'again'])->name('run.again');
        Route::post('/publishing/runs/{run}/halt', [RunController::class, 'halt'])->name('run.halt');
        Route::post('/publishing/runs/{run}/going-on', [RunController::class, 'goOn'])->name('run.go-on');
        Route::get('/publishing/runs/{run}/record.csv', [RunController::class, 'csv'])->name('run.csv');
        Route::get('/publishing/drift', [DriftController::class, 'show'])->name('drift');
        Route::post('/publishing/drift/look', [DriftController::class, 'look'])->name('drift.look');
        Route::post('/publishing/drift/back', [DriftController::class, 'putBack'])->name('drift.back');
        Route::post('/publishing/drift/kept', [DriftController::class, 'keep'])->name('drift.keep');
        // Authorised by the placement's section.
        Route::delete('/publishing/drift/kept/{placement}', [DriftController::class, 'takeBack'])->name(
            'drift.take-back',
        );
        Route::post('/publishing/added/{section}/{added}', [DriftController::class, 'leave'])
            ->middleware('can:serve,section')
            ->name('added.leave');
        Route::delete('/publishing/added/{section}/{added}', [DriftController::class, 'remove'])
            ->middleware('can:serve,section')
            ->name('added.remove');
        Route::get('/publishing/sections/{section}', [PublishingController::class, 'section'])
            ->middleware('looks')
            ->name('publishing.section');
    });

    Route::middleware('can:coordinate')->group(function (): void {
        Route::get('/house', HouseController::class)->name('house');
        Route::get('/timetable/moves', [MovesController::class, 'create'])->name('moves');
        Route::post('/timetable/moves/preview', [MovesController::class, 'preview'])
            ->middleware('looks')
            ->name('moves.preview');
        Route::post('/timetable/moves', [MovesController::class, 'store'])->name('moves.store');
        Route::get('/publishing/places', [PlacesController::class, 'show'])->name('places');
        Route::get('/publishing/showing', [ShowingController::class, 'school'])->name('showing');
        Route::put('/publishing/showing', [ShowingController::class, 'keepSchool'])->name('showing.keep');
        Route::get('/publishing/showing/{section}', [ShowingController::class, 'section'])->name('showing.section');
        Route::put('/publishing/showing/{section}', [ShowingController::class, 'keepSection'])->name(
            'showing.section.keep',
        );
        Route::delete('/publishing/showing/{section}', [ShowingController::class, 'reset'])->name(
            'showing.section.reset',
        );
        Route::get('/term/roster', [FeedController::class, 'roster'])->name('roster');
        Route::put('/publishing/places/{service}', [PlacesController::class, 'update'])->name('places.update');
        Route::put('/publishing/places/{service}/trial', [PlacesController::class, 'try'])->name('places.try');
        Route::delete('/publishing/places/{service}', [PlacesController::class, 'reset'])->name('places.reset');
        Route::get('/publishing/webhooks', [WebhookController::class, 'index'])->name('webhooks');
        Route::post('/publishing/webhooks', [WebhookController::class, 'store'])->name('webhooks.store');
        Route::post('/publishing/webhooks/{webhook}/trial', [WebhookController::class, 'try'])->name(
            'webhooks.try',
        );
        Route::delete('/publishing/webhooks/{webhook}', [WebhookController::class, 'destroy'])->name(
            'webhooks.destroy',
        );
        Route::post('/publishing/webhooks/messages/{message}/again', [WebhookController::class, 'again'])->name(
            'webhooks.again',
        );
        Route::post('/publishing/rooms', [PlacesController::class, 'rooms'])->name('places.rooms');
        Route::post('/records/people/{sourcedId}/absences', [AbsenceController::class, 'tell'])->name(
            'absences.tell',
        );
        Route::delete('/records/people/{sourcedId}/absences/{absence}', [
            AbsenceController::class,
            'takeBack',
        ])->name('absences.take-back');
        Route::put('/people/{sourcedId}/recorded', [PersonController::class, 'recorded'])->name('person.recorded');
        Route::put('/records/rules', [RecordsController::class, 'rules'])->name('records.rules');
        Route::post('/term/imports/{import}/undoing', [ImportController::class, 'undo'])->name('import.undo');
        Route::post('/term/changes/{change}/undoing', [CalendarController::class, 'undo'])->name('calendar.undo');
        Route::get('/accounts', [PeopleController::class, 'show'])->name('accounts');
        Route::post('/accounts/invitations', [PeopleController::class, 'inviteAll'])->name('accounts.invite');
        Route::post('/people/{sourcedId}/invitation', [PeopleController::class, 'invite'])->name('person.invite');
        Route::post('/people/{sourcedId}/links', [PersonController::class, 'renewLinks'])->name(
            'person.links.renew',
        );
        Route::post('/people/{sourcedId}/disabled', [PersonController::class, 'disable'])->name('person.disabled');
        Route::delete('/people/{sourcedId}/disabled', [PersonController::class, 'enable'])->name('person.enabled');
        Route::get('/registration/letters', [TemplateController::class, 'show'])->name('letters');
        Route::put('/registration/letters/{kind}/{language}', [TemplateController::class, 'update'])->name(
            'letters.update',
        );
        Route::delete('/registration/letters/{kind}/{language}', [TemplateController::class, 'destroy'])->name(
            'letters.destroy',
        );
        Route::get('/joining/presets', [JoiningController::class, 'presets'])->name('presets');
        Route::post('/joining/presets', [JoiningController::class, 'storePreset'])->name('presets.store');
        Route::delete('/joining/presets/{key}', [JoiningController::class, 'destroyPreset'])->name(
            'presets.destroy',
        );
        Route::get('/joining/audit', [JoiningController::class, 'audit'])->name('audit');
        Route::get('/joining/audit.csv', [JoiningController::class, 'export'])->name('audit.export');
        Route::get('/term/closing', [ClosureController::class, 'preview'])->name('closures.preview');
        Route::post('/term/closures', [ClosureController::class, 'store'])->name('closures.store');
        Route::post('/term/closed-days', [ClosureController::class, 'upload'])->name('closures.upload');
        Route::get('/term/closed-days/{key}', [ClosureController::class, 'read'])->name('closures.read');
        Route::post('/term/closed-days/{key}', [ClosureController::class, 'take'])->name('closures.take');
        Route::get('/term/make-ups', [ClosureController::class, 'makeUps'])->name('make-ups');
        Route::post('/term/make-ups', [ClosureController::class, 'makeUp'])->name('make-ups.store');
        Route::post('/term/day-plans', [CalendarController::class, 'plan'])->name('day-plans.store');
        Route::delete('/term/day-plans/{plan}', [CalendarController::class, 'dropPlan'])->name('day-plans.destroy');
        Route::post('/term/short-days', [CalendarController::class, 'shorten'])->name('short-days.store');
        Route::delete('/term/short-days/{day}', [CalendarController::class, 'lengthen'])->name(
            'short-days.destroy',
        );
        Route::post('/term/opened-days', [CalendarController::class, 'open'])->name('opened-days.store');
        Route::delete('/term/opened-days/{day}', [CalendarController::class, 'shut'])->name('opened-days.destroy');
        Route::put('/term/rotation', [CalendarController::class, 'rotate'])->name('rotation.update');
        Route::put('/term/hours', [CalendarController::class, 'hours'])->name('hours.update');
        Route::post('/terms', [TermController::class, 'store'])->name('terms.store');
        Route::post('/terms/copies', [TermController::class, 'copy'])->name('terms.copy');
        Route::delete('/terms/{term}', [TermController::class, 'destroy'])->name('terms.destroy');
        Route::put('/timetable/contact-time', [ContactTimeController::class, 'target'])->name(
            'contact-time.target',
        );
        Route::get('/timetable/licences', [LicenceController::class, 'index'])->name('licences');
        Route::post('/timetable/licences/plans', [LicenceController::class, 'plan'])->name('hosting-plans.store');
        Route::delete('/timetable/licences/plans/{plan}', [LicenceController::class, 'dropPlan'])->name(
            'hosting-plans.destroy',
        );
        Route::post('/timetable/licences/accounts', [LicenceController::class, 'account'])->name(
            'host-accounts.store',
        );
        Route::put('/timetable/licences/accounts/{account}', [LicenceController::class, 'regrade'])->name(
            'host-accounts.update',
        );
        Route::delete('/timetable/licences/accounts/{account}', [LicenceController::class, 'dropAccount'])->name(
            'host-accounts.destroy',
        );
        Route::post('/timetable/licences/assignment', [LicenceController::class, 'assign'])->name(
            'licences.assign',
        );
        Route::put('/timetable/licences/series/{series}', [LicenceController::class, 'put'])->name('licences.put');
        Route::post('/timetable/licences/series/{series}/parts', [LicenceController::class, 'split'])->name(
            'licences.split',
        );
        Route::get('/timetable/calendars', [EventImportController::class, 'create'])->name('events');
        Route::post('/timetable/calendars', [EventImportController::class, 'store'])->name('events.store');
        Route::get('/timetable/calendars/{key}', [EventImportController::class, 'preview'])->name('events.preview');
        Route::post('/timetable/calendars/{key}', [EventImportController::class, 'take'])->name('events.take');
        Route::delete('/term/closures/{closure}', [ClosureController::class, 'destroy'])->name('closures.destroy');
        Route::post('/timetable/clashes', [ClashController::class, 'accept'])->name('clashes.accept');
        Route::delete('/timetable/clashes', [ClashController::class, 'reopen'])->name('clashes.reopen');
        Route::get('/begin', [BeginController::class, 'show'])->name('begin');
        Route::post('/begin', [BeginController::class, 'store'])->name('begin.store');
        Route::get('/begin/sample', [BeginController::class, 'sample'])->name('begin.sample');
        Route::get('/term/import', [ImportController::class, 'create'])->name('import');
        Route::post('/term/import', [ImportController::class, 'store'])->name('import.store');
        Route::get('/term/import/{key}', [ImportController::class, 'preview'])->name('import.preview');
        Route::post('/term/import/{key}', [ImportController::class, 'take'])->name('import.take');
    });
});
