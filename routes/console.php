<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// What many have sat by now is said of each question a few minutes later.
Schedule::command('statistics:renew --due')->everyFiveMinutes()->withoutOverlapping();

// What ran out while nobody was there is closed, so that its result is ready.
Schedule::command('sittings:close')->everyMinute()->withoutOverlapping();
