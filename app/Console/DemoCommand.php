<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Closure;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Actions\Joining\KeepDoor;
use Nomada\App\Actions\Joining\KeepDropIn;
use Nomada\App\Actions\Joining\ReplaceLink;
use Nomada\App\Actions\Publishing\ExecuteRun;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Actions\Recording\FollowRecordings;
use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Actions\Registration\KeepRegistering;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Actions\Registration\TakeRegistration;
use Nomada\App\Actions\Term\KeepCalendar;
use Nomada\App\Actions\Timetable\ChangeByTeacher;
use Nomada\App\Actions\Timetable\KeepLicences;
use Nomada\App\Actions\Timetable\KeepSeriesToPlace;
use Nomada\App\Actions\Timetable\KeepWishes;
use Nomada\App\Actions\Timetable\PasteTopics;
use Nomada\App\Destinations\Service;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\HostingPlan;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\DemoServicesDatabase;
use Nomada\App\Support\Services;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Joining\Preset;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\SessionChangeForm;

/**
 * Loads the demo school by the ordinary import, gives its invented people their password, and brings most sections as
 * far as they are in the story.
 */
final class DemoCommand extends Command
{
    protected $signature = 'nomada:demo {--if-empty : only where no school is loaded, or a demo was half loaded}
        {--fresh : leave links, registrations and publishing still to be done}
        {--again : empty the database of a demo, and begin again}';

    protected $description = 'Load the demo school';

    /**
     * In the story these are not through: no link yet, not registered, not published. The last has no series either.
     */
    private const UNLINKED = ['8MUS', '9MUS', '10STA'];

    private const UNREGISTERED = ['9MAT-B', '8MUS', '9MUS', '10STA'];

    private const UNPUBLISHED = ['9MAT-B', '10CHE', '10CIV', '8MUS', '9MUS', '10STA'];

    /** Seconds that a demo service may take for an answer while the demo is loaded, however busy the machine. */
    private const PATIENCE = 3600;

    /** Where it is written down which steps are done: value is a list of their names, or "whole". */
    private const SETTING = 'demo';

    public function handle(): int
    {
        if (! config('nomada.demo')) {
            if (! $this->option('if-empty')) {
                $this->components->error((string) __('console.demo.none'));
            }

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        $mark = DB::table('settings')->where('name', self::SETTING)->value('value');
        if ($this->option('again')) {
            if ($mark === null && DB::table('schools')->exists()) {
                $this->components->error((string) __('console.demo.not_ours'));

                return self::FAILURE;
            }
            $this->empty();
            $mark = null;
        }
        $isHalf = $mark !== null && $mark !== 'whole';
        if (! $isHalf && DB::table('schools')->exists()) {
            // Its people would all be given the demo's public password.
            if (! $this->option('if-empty')) {
                $this->components->error((string) __('console.demo.loaded'));
            }

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        $this->output->writeln((string) __($isHalf ? 'console.demo.half' : 'console.demo.loading'));
        config(['nomada.standins.timeout' => self::PATIENCE]);

        return $this->load() ? self::SUCCESS : self::FAILURE;
    }

    /** Does what is not done yet of loading the demo. False where its files have faults. */
    private function load(): bool
    {
        $this->once('begun', fn (): bool => true, DB::table('schools')->doesntExist());
        if (DB::table('schools')->doesntExist()) {
            if ($this->call('nomada:import', ['path' => database_path('demo/marisma'), '--quiet' => true]) !== 0) {
                $this->components->error((string) __('console.demo.faults'));

                return false;
            }
        }
        $this->once('plan', $this->plan(...));
        $this->once('to place', $this->toPlace(...));
        $this->once(
            'passwords',
            fn (): int => DB::table('people')->update([
                'password' => Hash::make((string) config('nomada.demo_password')),
                'has_demo_password' => true,
            ]),
        );
        if (! $this->option('fresh')) {
            $services = new Services();
            $port = (int) config('nomada.standins.port');
            try {
                if (! Services::answers($port)) {
                    [$command, $env] = Services::standins($port);
                    $services->start('standins', $command, $env + ['STANDINS_PROCESSING' => '1']);
                    $services->waitForService('standins', $port);
                }
                $this->bringForward();
            } finally {
                $services->stop();
            }
        }
        DB::table('settings')
            ->where('name', self::SETTING)
            ->update(['value' => 'whole']);

        return true;
    }

    /**
     * Does a step that is not done yet, and writes down that it is, in one transaction: whatever ends the loading, it
     * goes on from here at the next start.
     */
    private function once(string $step, Closure $do, bool $isNew = false): void
    {
        $done = $isNew ? [] : $this->done();
        if (! in_array($step, $done, true)) {
            DB::transaction(function () use ($step, $do, $done): void {
                $do();
                DB::table('settings')->upsert(
                    [['name' => self::SETTING, 'value' => (string) json_encode([...$done, $step])]],
                    'name',
                );
            });
        }
    }

    /** @return list<string> */
    private function done(): array
    {
        $value = DB::table('settings')->where('name', self::SETTING)->value('value');

        return array_values(array_filter((array) json_decode((string) $value, true), is_string(...)));
    }

    private function empty(): void
    {
        DemoServicesDatabase::clear();
        $this->callSilently('migrate:fresh', ['--force' => true]);
        foreach (['materials', FollowRecordings::DISK] as $disk) {
            Storage::disk($disk)->delete(Storage::disk($disk)->allFiles());
        }
    }

    /**
     * What a coordinator has set up beside the import: day plans, a short day, rotation weeks, licences, targets,
     * topics, somebody's own times.
     */
    private function plan(): void
    {
        $term = Term::query()
            ->with(['school', 'closures'])
            ->orderBy('starts_on')
            ->firstOrFail();
        $calendar = app(KeepCalendar::class);
        $calendar->plan(
            $term,
            DayPlan::read(
                'School day',
                "1 9:00-9:45\n2 10:00-10:45\n3 11:15-12:00\n4 12:15-13:00\n5 14:00-14:45\n6 15:00-15:45",
            ),
            true,
            null,
        );
        $calendar->plan(
            $term,
            DayPlan::read('Short day', "1 9:00-9:30\n2 9:40-10:10\n3 10:30-11:00\n4 11:10-11:40\n5 11:50-12:20"),
            false,
            null,
        );
        $short = $term->dayPlans()->where('is_usual', false)->firstOrFail();
        $calendar->shorten(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($term->id),
            LocalDate::parse('2027-03-19'),
            $short,
            'Boats leave at noon',
        );
        $calendar->rotate($term, new Rotation(true, 2, true));
        $licences = app(KeepLicences::class);
        foreach ([['Classroom', 30, 60, 5], ['Hall', 100, 120, 1]] as [$name, $seats, $minutes, $many]) {
            $licences->plan($term, $name, $seats, $minutes, 1);
            $licences->accounts(HostingPlan::query()->where('name', $name)->firstOrFail(), $name, $many);
        }
        $licences->assign($term);
        DB::table('sections')
            ->where('year', '08')
            ->orWhere('year', '8')
            ->update(['target_minutes' => 20 * 60]);
        $marine = Section::query()
            ->where('sourced_id', '8MAR')
            ->firstOrFail()
            ->series()
            ->with('section.term.school')
            ->firstOrFail();
        app(PasteTopics::class)(
            $marine,
            implode("\n", [
                'Tides',
                'Rock pools',
                'Plankton',
                'Kelp',
                'Estuaries',
                'Sharks and rays',
                'Currents',
                'Sea birds',
                'Harbours',
                'Reading a chart',
                'Salt marsh',
                'Whales',
                'Fishing and quotas',
                'Oil on water',
                'The deep',
                'Coral',
                'Sea ice',
                'Revision',
            ]),
            true,
            true,
            null,
        );
        $away = DB::table('people')->where('sourced_id', 'T-02')->value('id');
        foreach (['2027-02-10', '2027-02-24', '2027-03-10'] as $day) {
            DB::table('busy_blocks')->insert([
                'person_id' => $away,
                'uid' => 'boat-survey',
                'title' => 'Boat survey',
                'starts_at' => "$day 13:00+01",
                'ends_at' => "$day 15:30+01",
            ]);
        }
    }

    private function bringForward(): void
    {
        $sections = Section::query()
            ->with(['term.school', 'term.closures', 'series'])
            ->get();
        $but = fn (array $these): array => array_values($sections->whereNotIn('sourced_id', $these)->modelKeys());
        $start = app(StartRun::class);
        $by = Person::query()->where('sourced_id', 'A-01')->firstOrFail();
        $this->runs(fn (): ?Run => $start->links($but(self::UNLINKED), null, false));
        $this->once('desk', $this->register(...));
        $register = app(RegisterRoster::class);
        $sections
            ->whereNotIn('sourced_id', self::UNREGISTERED)
            ->each(fn (Section $s) => $this->once("roster $s->sourced_id", fn () => $register($s->load('series'))));
        $this->once('passed on', fn () => $this->passedOn($by));
        $this->once('doors', $this->doors(...));
        $this->once('presence', fn () => app(DemoPresence::class)->past($by));
        app(DemoPresence::class)->recordings($by);
        $this->runs(fn (): ?Run => $start->publish($but(self::UNPUBLISHED), null, false)->run);
        // What a teacher has put on a course page by hand: ours can stand after it.
        Service::of(ExternalService::Course)->send(
            'PUT',
            '/pages/8MAR/items/reading-list',
            (string) json_encode([
                'title' => 'Reading list',
                'block' => 'pinned',
                'codes' => ['text'],
                'fields' => ['Text' => 'Bring the tide tables of Isla Bruma to every session.'],
            ]),
        );
        $this->once('requests', $this->requests(...));
    }

    /** What a teacher asks for: a session of today cancelled, and the Thursdays of another section moved to Fridays. */
    private function requests(): void
    {
        $teacher = Person::query()->where('sourced_id', 'T-02')->firstOrFail();
        $ask = function (string $section, string $day, SessionChangeForm $form, string $why) use ($teacher): void {
            $session = Session::query()
                ->where('day', $day)
                ->whereRelation('series.section', 'sourced_id', $section)
                ->with('series.section.term.school')
                ->firstOrFail();
            $series = $session->series;
            app(ChangeByTeacher::class)($teacher, $series->section, $series, $session, $form, $why);
        };
        $ask('10MAR', '2027-02-09', SessionChangeForm::cancel('The survey boat leaves early', false), '');
        $friday = LocalDate::parse('2027-02-19');
        $move = SessionChangeForm::move($friday, 10 * 60, 47, Reach::Later);
        $ask('8MAR', '2027-02-18', $move, 'The harbour is open to us on Fridays only.');
    }

    /**
     * Carries out a run that was begun before and did not end, then what is left to do.
     *
     * @param  Closure(): ?Run  $begin
     */
    private function runs(Closure $begin): void
    {
        foreach (Run::query()->whereNull('ended_at')->get() as $run) {
            app(ExecuteRun::class)($run);
        }
        $run = $begin();
        if ($run !== null) {
            app(ExecuteRun::class)($run);
        }
    }

    /** A student's link was passed on, and replaced. */
    private function passedOn(Person $by): void
    {
        $passed = JoinLink::query()
            ->inForce()
            ->where('kind', LinkKind::Personal)
            ->whereRelation('person', 'sourced_id', 'S-8-001')
            ->whereRelation('series.section', 'sourced_id', '8MAT-A')
            ->with(['series.section', 'person'])
            ->firstOrFail();
        app(ReplaceLink::class)->single($passed, $by);
    }

    /** Three series that have no time yet, and when two teachers would rather not teach. */
    private function toPlace(): void
    {
        $from = LocalDate::parse('2027-02-22');
        foreach (
            [
                '7ART' => ['Art studio', 1, 90],
                '9GEO' => ['Field work', 2, 45],
                '10CHE' => ['Chemistry laboratory', 1, 75],
            ] as $id => [$title, $perWeek, $minutes]
        ) {
            $section = Section::query()
                ->with(['term.school', 'term.closures'])
                ->where('sourced_id', $id)
                ->firstOrFail();
            app(KeepSeriesToPlace::class)->add($section, $title, $perWeek, $minutes, $from, null);
        }
        $teacher = fn (string $id): Person => Person::query()->where('sourced_id', $id)->firstOrFail();
        app(KeepWishes::class)->add($teacher('T-04'), 5, 12 * 60, 1440);
        app(KeepWishes::class)->add($teacher('T-09'), 3, 0, 1440);
    }

    /** Office hours in mathematics, and one session of marine science that the whole school may listen to. */
    private function doors(): void
    {
        $by = Person::query()->where('sourced_id', 'A-01')->firstOrFail();
        app(KeepDropIn::class)->make(
            Section::query()
                ->with(['term.school', 'term.closures'])
                ->where('sourced_id', '8MAT-A')
                ->firstOrFail(),
            '6f1f2a0e-51f3-4a7e-9d54-5b0b8f4f6c01',
            'Office hours',
            OpeningHours::read('Tue 15-16, Thu 12:15-13'),
            'office-hours',
            $by,
        );
        $session = Session::query()
            ->where('day', '2027-03-11')
            ->whereRelation('series.section', 'sourced_id', '8MAR')
            ->with('series')
            ->firstOrFail();
        $lecture = Preset::usual()['guest-lecture'];
        app(KeepDoor::class)->session($session, $lecture->door, $lecture->floor, $by);
        app(KeepDoor::class)->accept($session->series->load('section'), $by);
    }

    /**
     * The two sections of Mathematics in year 7 take registrations themselves. Most students are through; of the others
     * each kind waits at the desk.
     */
    private function register(): void
    {
        $take = app(TakeRegistration::class);
        $decide = app(DecideRegistration::class);
        $by = Person::query()->where('sourced_id', 'A-01')->firstOrFail();
        foreach (['7MAT-A', '7MAT-B'] as $id) {
            $series = Section::query()
                ->where('sourced_id', $id)
                ->firstOrFail()
                ->series()
                ->with(['section.term.school', 'section.term.closures', 'sessions'])
                ->firstOrFail();
            app(KeepRegistering::class)($series, new Registering(seats: 28), $by);
            $students = Person::query()
                ->whereIn(
                    'id',
                    DB::table('memberships')
                        ->where('section_id', $series->section_id)
                        ->where('role', MembershipRole::Student)
                        ->select('person_id'),
                )
                ->orderBy('sourced_id')
                ->get();
            foreach ($students as $i => $student) {
                // The first of A asks for B; the last of B type themselves as people do.
                [$name, $email] = match (true) {
                    $id === '7MAT-B' && $i === 0 => [
                        "$student->family_name, $student->given_name",
                        $student->email,
                    ],
                    $id === '7MAT-B' && $i === 1 => [
                        mb_substr($student->name(), 0, 2).mb_substr($student->name(), 3),
                        $student->email,
                    ],
                    $id === '7MAT-B' && $i === 2 => [
                        $student->name(),
                        mb_strtolower($student->given_name).'.surf@postbox.example',
                    ],
                    $id === '7MAT-B' && $i === 3 => ['Tía Marisol', $student->email],
                    default => [$student->name(), $student->email],
                };
                $to =
                    $id === '7MAT-A' && $i === 0
                        ? Section::query()
                            ->where('sourced_id', '7MAT-B')
                            ->firstOrFail()
                            ->series()
                            ->with(['section.term.school', 'section.term.closures', 'sessions'])
                            ->firstOrFail()
                        : $series;
                if ($to !== $series) {
                    app(KeepRegistering::class)($to, new Registering(seats: 28), $by);
                }
                [$registration] = $take($to, $student, $name, (string) $email, []);
                if ($to === $series && ($id === '7MAT-A' || $i > 4)) {
                    $decide->accept($registration, $by);
                }
            }
            if ($id === '7MAT-B') {
                $take(
                    $series,
                    Person::query()->where('sourced_id', 'S-9-001')->firstOrFail(),
                    'Nerea Couto',
                    'nerea.couto@postbox.example',
                    [],
                );
            }
        }
        // The workshop is open to anybody who registers, for each session.
        app(KeepRegistering::class)(
            Section::query()
                ->where('sourced_id', '8MUS')
                ->firstOrFail()
                ->series()
                ->with(['section', 'sessions'])
                ->firstOrFail(),
            new Registering(each: true, acceptsCertain: true, seats: 12),
            $by,
        );
        DB::table('emails')->update(['not_before' => now()]);
    }
}
