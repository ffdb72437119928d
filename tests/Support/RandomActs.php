<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Session;

/**
 * Acts of coordinators, teachers and students drawn at random, each sent as its form is, and noted so that all of them
 * can be undone in the opposite order.
 */
final class RandomActs
{
    private const KINDS = [
        'moveOne',
        'moveLater',
        'moveWhole',
        'moveOne',
        'cancel',
        'restore',
        'add',
        'retitle',
        'topics',
        'pattern',
        'exchange',
        'makeUp',
        'close',
        'openWeekend',
        'rotate',
        'hours',
        'import',
        'import',
        'share',
        'unshare',
        'registering',
        'register',
        'pass',
        'material',
        'room',
    ];

    /** @var list<array{string, string, int}> what can be undone: route, section where it has one, id */
    private array $undos = [];

    /** @var array<string, int> how often each kind was done, and how often refused */
    public array $done = [];

    /** @var array<string, int> */
    public array $refused = [];

    public function __construct(private readonly TestCase $test, int $seed)
    {
        mt_srand($seed);
    }

    public function act(): string
    {
        $kind = self::KINDS[mt_rand(0, count(self::KINDS) - 1)];
        $before = $this->last();
        session()->forget('errors');
        $this->{$kind}();
        $errors = session('errors')?->all() ?? [];
        $list = $errors === [] ? 'done' : 'refused';
        $this->{$list}[$kind] = ($this->{$list}[$kind] ?? 0) + 1;
        $this->note($before);

        return $kind.($errors === [] ? '' : ' (refused: '.implode(' ', $errors).')');
    }

    /** Undoes one act, the last that is not undone; null where none is left. */
    public function undo(): ?string
    {
        $last = array_pop($this->undos);
        if ($last === null) {
            return null;
        }
        [$kind, $section, $id] = $last;
        $path = [
            'change' => "/sections/$section/changes/$id",
            'calendar' => "/term/changes/$id",
            'import' => "/term/imports/$id",
        ];
        session()->forget('errors');
        $this->test->as('A-1')->post($path[$kind].'/undoing')->assertStatus(302);

        return "undo $kind $id".implode(' ', session('errors')?->all() ?? []);
    }

    /** @return array{int, int, int} */
    private function last(): array
    {
        return array_map(
            fn (string $table): int => (int) DB::table($table)->max('id'),
            ['series_changes', 'term_changes', 'imports'],
        );
    }

    /** @param  array{int, int, int}  $before */
    private function note(array $before): void
    {
        $import = DB::table('imports')->where('id', '>', $before[2])->max('id');
        $term = DB::table('term_changes')
            ->where('id', '>', $before[1])
            ->whereNull('import_id')
            ->orderBy('id')
            ->pluck('id');
        if ($import !== null) {
            $this->undos[] = ['import', '', (int) $import];
        }
        foreach ($import === null ? $term : [] as $id) {
            $this->undos[] = ['calendar', '', (int) $id];
        }
        $changes = DB::table('series_changes')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('series_changes.id', '>', $before[0])
            ->whereNull('term_change_id')
            ->whereNull('import_id')
            ->orderBy('series_changes.id')
            ->get(['series_changes.id', 'batch', 'sourced_id']);
        foreach ($changes->unique(fn (\stdClass $c): string => $c->batch ?? (string) $c->id) as $change) {
            $this->undos[] = ['change', $change->sourced_id, (int) $change->id];
        }
    }

    /** @param  list<mixed>  $of */
    private static function any(array $of): mixed
    {
        return $of === [] ? null : $of[mt_rand(0, count($of) - 1)];
    }

    private function session(string $state = 'planned', bool $isExtra = false): ?Session
    {
        $id = self::any(
            Session::query()
                ->where('state', $state)
                ->when(! $isExtra, fn ($q) => $q->where('is_extra', false))
                ->where('starts_at', '>', '2027-02-10')
                ->orderBy('id')
                ->pluck('id')
                ->all(),
        );

        return $id === null ? null : Session::query()->with('series.section')->findOrFail($id);
    }

    private static function day(): string
    {
        return date('Y-m-d', (int) strtotime('2027-02-11 +'.mt_rand(0, 68).' days'));
    }

    /** @return array{string, string} from, to */
    private static function times(): array
    {
        $start = mt_rand(96, 200) * 5;

        return [sprintf('%d:%02d', intdiv($start, 60), $start % 60), (string) self::any([30, 45, 47, 90]).' min'];
    }

    private static function path(Session $session): string
    {
        return "/sections/{$session->series->section->sourced_id}/series/$session->series_id/sessions/$session->id";
    }

    private function series(): \stdClass
    {
        return self::any(
            DB::table('series')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->orderBy('series.id')
                ->get(['series.id', 'sourced_id', 'series.title'])
                ->all(),
        );
    }

    private function move(string $reach): void
    {
        $session = $this->session(isExtra: $reach === 'this');
        [$start, $end] = self::times();
        if ($session !== null) {
            $this->test->as('A-1')->put(self::path($session), [
                'move_day' => self::day(),
                'move_start' => $start,
                'move_end' => $end,
                'reach' => $reach,
            ]);
        }
    }

    private function moveOne(): void
    {
        $this->move('this');
    }

    private function moveLater(): void
    {
        $this->move('later');
    }

    private function moveWhole(): void
    {
        $this->move('whole');
    }

    private function cancel(): void
    {
        $session = $this->session(isExtra: true);
        $this->test->as('A-1')->post(self::path($session).'/cancellation', [
            'reason' => 'Ill',
            'keeps_topic' => mt_rand(0, 1),
        ]);
    }

    private function restore(): void
    {
        $session = $this->session('cancelled');
        if ($session !== null) {
            $this->test->as('A-1')->delete(self::path($session).'/cancellation');
        }
    }

    private function add(): void
    {
        $series = $this->series();
        [$start, $end] = self::times();
        $this->test->as('A-1')->post("/sections/$series->sourced_id/series/$series->id/sessions", [
            'move_day' => self::day(),
            'move_start' => $start,
            'move_end' => $end,
        ]);
    }

    private function retitle(): void
    {
        $this->test->as('A-1')->put(self::path($this->session(isExtra: true)).'/particulars', [
            'title' => 'Revision '.mt_rand(1, 9),
            'note' => self::any(['', 'Bring a ruler.']),
            'teacher' => self::any(['', 'T-1']),
        ]);
    }

    private function topics(): void
    {
        $series = $this->series();
        $this->test->as('A-1')->put("/sections/$series->sourced_id/series/$series->id/topics", [
            'topics' => implode("\n", array_map(fn (int $n): string => "Topic $n", range(1, mt_rand(3, 30)))),
            'topics_move' => (string) mt_rand(0, 1),
        ]);
    }

    private function pattern(): void
    {
        $series = $this->series();
        [$start, $end] = self::times();
        $reach = self::any(['whole', 'later']);
        $this->test->as('A-1')->put("/sections/$series->sourced_id/series/$series->id", [
            'title' => $series->title,
            ...self::any([
                ['kind' => 'weekly', 'weekdays' => [mt_rand(1, 3), mt_rand(4, 5)], 'every' => mt_rand(1, 2)],
                ['kind' => 'rotation', 'labels' => [(string) mt_rand(1, 2)]],
                ['kind' => 'every-days', 'every_days' => mt_rand(2, 9)],
            ]),
            'starts_on' => '2027-01-11',
            'start_time' => $start,
            'end_time' => $end,
            'end_kind' => 'term',
            'reach' => $reach,
            'from_day' => '2027-03-01',
        ]);
    }

    private function exchange(): void
    {
        [$a, $b] = [$this->session(), $this->session()];
        $to = fn (Session $of): array => [
            'day' => $of->day,
            'start' => $of->starts_at->setTimezone('Europe/Madrid')->format('H:i'),
            'end' => '40 min',
            'reach' => self::any(['this', 'later']),
        ];
        $this->test->as('A-1')->post('/timetable/moves', ['moves' => [$a->id => $to($b), $b->id => $to($a)]]);
    }

    private function makeUp(): void
    {
        $lost = DB::table('sessions')
            ->whereIn('state', ['lost', 'cancelled'])
            ->orderBy('id')
            ->limit(6)
            ->pluck('id');
        $take = [];
        foreach ($lost as $id) {
            $take[$id] = self::day().' '.(5 * mt_rand(96, 200)).' 40 9';
        }
        if ($take !== []) {
            $this->test->as('A-1')->post('/term/make-ups', ['take' => $take]);
        }
    }

    private function close(): void
    {
        $day = self::day();
        $this->test->as('A-1')->post('/term/closures', [
            'first' => $day,
            'last' => date('Y-m-d', (int) strtotime("$day +".mt_rand(0, 4).' days')),
            'reason' => 'Storm',
        ]);
    }

    private function openWeekend(): void
    {
        $this->test->as('A-1')->post('/term/opened-days', [
            'open_day' => date('Y-m-d', (int) strtotime('2027-02-20 +'.(7 * mt_rand(0, 8)).' days')),
        ]);
    }

    private function rotate(): void
    {
        $this->test->as('A-1')->put('/term/rotation', [
            'rotation_kind' => 'day',
            'rotation_n' => (string) mt_rand(2, 4),
        ]);
    }

    private function hours(): void
    {
        $this->test->as('A-1')->put('/term/hours', ['opens' => '8:00', 'closes' => '1'.mt_rand(5, 9).':00']);
    }

    /** A row that is removed, moved or renumbered, other term dates, or another zone; or the first files again. */
    private function import(): void
    {
        $change = self::any([
            ['enrollments.csv', "E-4,,MAR,S-3,student,false,,2027-02-20\n", ''],
            ['enrollments.csv', 'E-8,,STA,S-3', 'E-8,,MAR,S-4'],
            ['enrollments.csv', "E-6,,SPA,S-4,student,false,,\n", "E-6,,STA,S-4,student,false,,\n"],
            ['users.csv', 'S-2,,student,Rui,Mestre', 'S-22,,student,Rui,Mestre'],
            ['users.csv', 'S-3,,student,Teo,Kallas,teo@', 'S-3,,student,Teo,Kallas-Ruiz,kallas@'],
            ['academicSessions.csv', '2027-04-23', '2027-04-09'],
            ['academicSessions.csv', '2027-04-23', '2027-04-30'],
            ['orgs.csv', 'Europe/Madrid', 'Europe/Lisbon'],
            ['timetable.csv', 'BYDAY=TU,TH', 'BYDAY=MO,WE'],
            ['timetable.csv', '2027-01-12T10:00,47', '2027-01-12T11:00,50'],
            ['closures.ics', '20270322', '20270319'],
            ['classes.csv', 'SPA,,Spanish Language', 'SPA,,Spanish and Culture'],
            ['', '', ''],
        ]);
        [$file, $from, $to] = $change;
        $files = SmallSchool::files();
        if ($file !== '') {
            $files[$file] = str_replace($from, $to, $files[$file]);
        }
        if ($file === 'users.csv' && str_contains($to, 'S-22')) {
            $files['enrollments.csv'] = str_replace('S-2,', 'S-22,', $files['enrollments.csv']);
        }
        Artisan::call('nomada:import', [
            'path' => SmallSchool::folder($files),
            '--take-removals' => true,
        ]);
    }

    private function share(): void
    {
        $series = $this->series();
        $this->test->as('A-1')->post("/sections/$series->sourced_id/series/$series->id/sections", [
            'section' => self::any(['MAR', 'SPA', 'STA']),
        ]);
    }

    private function unshare(): void
    {
        $series = $this->series();
        $other = self::any(['MAR', 'SPA', 'STA']);
        $this->test->as('A-1')->delete("/sections/$series->sourced_id/series/$series->id/sections/$other");
    }

    private function registering(): void
    {
        $series = $this->series();
        $this->test->as('A-1')->put("/sections/$series->sourced_id/series/$series->id/registering", [
            'mode' => self::any(['roster', 'once', 'each']),
            'accepts_certain' => '1',
            'seats' => '20',
        ]);
    }

    private function register(): void
    {
        $session = $this->session();
        $this->test->as('S-1')->post("/register/$session->series_id", [
            'typed_name' => 'Galia Zabalo',
            'typed_email' => 'galia@school.example',
            'days' => [$session->day],
        ]);
    }

    private function pass(): void
    {
        $session = $this->session();
        $section = $session->series->section->sourced_id;
        $this->test
            ->as($section === 'MAR' ? 'T-2' : 'T-1')
            ->post("/sections/$section/series/$session->series_id/guests", [
                'guest_name' => 'Vera Ocampo',
                'until' => '2027-04-01',
                'only_day' => $session->day,
            ]);
    }

    private function material(): void
    {
        $session = $this->session();
        $section = $session->series->section->sourced_id;
        $this->test->as($section === 'MAR' ? 'T-2' : 'T-1')->post("/sections/$section/materials", [
            'material_title' => 'Chart '.mt_rand(1, 99),
            'material_address' => 'https://charts.example/7',
            'material_session' => $session->id,
        ]);
    }

    private function room(): void
    {
        $this->test->as('A-1')->post('/joining/drop-in', [
            'section' => self::any(['MAR', 'SPA']),
            'name' => 'Office hours',
            'hours' => 'Tue 15-16',
            'preset' => 'office-hours',
        ]);
    }
}
