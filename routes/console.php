<?php

use Illuminate\Support\Facades\Schedule;

Schedule::command('nomada:take-up')->everyMinute()->withoutOverlapping(5);
