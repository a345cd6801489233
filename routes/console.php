<?php

declare(strict_types=1);

use App\Health\Schedule as Seen;
use Illuminate\Support\Facades\Schedule;

// what is done by itself, at times when few work; `artisan schedule:work` is kept running with the workers
Schedule::call(Seen::mark(...))->everyMinute();
Schedule::command('ledger:backup')->dailyAt('02:30')->withoutOverlapping(60);
Schedule::command('ledger:remind')->hourly()->withoutOverlapping(30);
Schedule::command('ledger:tidy')->dailyAt('03:10')->withoutOverlapping(60);
