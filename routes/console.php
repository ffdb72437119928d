<?php

use Illuminate\Support\Facades\Schedule;
use Nomada\App\Actions\RenewDerived;

Schedule::command('nomada:resume')->everyMinute()->withoutOverlapping(5)->onOneServer();
Schedule::command('nomada:presence')->everyMinute()->withoutOverlapping(5)->onOneServer();
Schedule::command('nomada:recording')->everyMinute()->withoutOverlapping(5)->onOneServer();
Schedule::command('nomada:post')->everyMinute()->withoutOverlapping(5)->onOneServer();
Schedule::command('nomada:replies')->everyFiveMinutes()->withoutOverlapping(10)->onOneServer();
Schedule::command('nomada:webhooks')->everyMinute()->withoutOverlapping(5)->onOneServer();
// Notices an upgrade. A process is started only when there is something to do.
Schedule::command('nomada:renew')->everyMinute()->when(RenewDerived::isDue(...))->withoutOverlapping(60)->onOneServer();
Schedule::command('nomada:prune')->dailyAt('03:10')->withoutOverlapping(60)->onOneServer();
// Whose enrolment has ended gives the seat to who waits for it.
Schedule::command('nomada:register --left')->dailyAt('01:40')->withoutOverlapping(60)->onOneServer();
Schedule::command('nomada:check')->dailyAt('03:30')->withoutOverlapping(120)->onOneServer();
Schedule::command('nomada:outside-changes')->dailyAt('02:10')->withoutOverlapping(120)->onOneServer();
Schedule::command('nomada:verify')->dailyAt('05:10')->withoutOverlapping(120)->onOneServer();
Schedule::command('nomada:remind')->everyFiveMinutes()->withoutOverlapping(10)->onOneServer();
