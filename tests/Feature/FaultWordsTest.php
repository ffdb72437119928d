<?php

use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Term\LocalDate;

test(
    'what is put into a fault is said as its reader says it: days, numbers, lists, and the fault within',
    function () {
        $day = LocalDate::parse('2027-02-18');
        $several = new Fault('date.several', 'on', ['typed' => '18', 'some' => [$day, $day->plus(28)]]);
        expect(FaultWords::of($several))
            ->toBe('"18" could be any of these: Thu 18 Feb, Thu 18 Mar. Add the month.')
            ->and(FaultWords::of(new Fault('calendar.rule', '', ['why' => $several])))
            ->toBe(
                'The recurrence rule cannot be read: "18" could be any of these: Thu 18 Feb, Thu 18 Mar. '.
                    'Add the month.',
            )
            ->and(FaultWords::of(new Fault('import.rows', '', ['file' => ':n.csv', 'n' => 200_000])))
            ->toBe(':n.csv has more than 200,000 rows. Split the school into several imports.')
            ->and(FaultWords::of(new Fault('recordings.word.fault')))
            ->toBe(__('recordings.word.fault'));
        app()->setLocale('es');
        expect(FaultWords::of($several))->toContain('jue 18 feb, jue 18 mar');
    },
);

test('a fault of a file is said with its place, and plainly for programs', function () {
    $fault = new ImportFault('a.csv', 7, 'email', 'roster.email', 'galia@');
    expect(FaultWords::line($fault))
        ->toBe('a.csv, line 7, column email: This is not an email address. Correct it, or leave it empty. Found '
            .'"galia@".')
        ->and(FaultWords::line(new ImportFault('a.csv', 0, '', new Fault('roster.file', '', ['file' => 'a.csv']))))
        ->toBe('a.csv: The file a.csv is missing from the folder.')
        ->and(FaultWords::plain($fault))
        ->toBe([
            'file' => 'a.csv',
            'line' => 7,
            'column' => 'email',
            'code' => 'roster.email',
            'expected' => 'This is not an email address. Correct it, or leave it empty.',
            'found' => 'galia@',
        ]);
});

test('a fault beside another field is the same fault', function () {
    $fault = new Fault('session.past', 'move_start', ['n' => 1]);
    expect([$fault->at('take')->says, $fault->at('take')->field, $fault->at('take')->with])
        ->toBe(['session.past', 'take', ['n' => 1]])
        ->and($fault->getMessage())
        ->toBe('session.past {"n":1}');
});

test('a fault that a command does not catch is said in words', function () {
    $output = new Symfony\Component\Console\Output\BufferedOutput();
    $handler = app(Illuminate\Contracts\Debug\ExceptionHandler::class);
    $handler->renderForConsole($output, new Fault('date.iso', '', ['text' => '<b>9']));
    expect(trim($output->fetch()))->toBe('"<b>9" is not a date. Write year-month-day, for example 2027-02-18.');
});
