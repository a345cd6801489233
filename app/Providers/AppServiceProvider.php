<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\Checks\ScanSlice;
use App\Audit\ChainRecordings;
use App\Audit\Recordings;
use App\Database\ImmediateConnector;
use App\Models\CheckEnded;
use App\Models\User;
use App\Notices\OnAct;
use App\Notices\OnChange;
use App\Notices\OnCheck;
use App\Queue\Waiting;
use App\Queue\Workers;
use App\Webhooks\Announce;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Queue\Events\JobExceptionOccurred;
use Illuminate\Queue\Events\JobFailed;
use Illuminate\Queue\Events\JobProcessed;
use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Queue\Events\Looping;
use Illuminate\Queue\Events\WorkerStarting;
use Illuminate\Queue\Events\WorkerStopping;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Inertia\Inertia;
use Laravel\Sanctum\PersonalAccessToken;
use Laravel\Sanctum\Sanctum;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
    }

    public function boot(): void
    {
        // also for pages that say what went wrong before a route was found
        Inertia::setRootView('book');
        TrustProxies::at(
            array_values(array_filter(array_map(trim(...), explode(',', (string) config('ledger.proxies'))))),
        );
        if (str_starts_with((string) config('app.url'), 'https://')) {
            URL::forceRootUrl((string) config('app.url'));
            URL::forceScheme('https');
        }
        Model::shouldBeStrict(! $this->app->isProduction());
        $this->watchWorkers();
        Recordings::begin();
        ChainRecordings::begin();
        OnChange::begin();
        Announce::begin();
        Event::listen(CheckEnded::class, OnCheck::class);
        OnAct::begin();
        Gate::define('administer', static fn (User $user): bool => $user->is_administrator);
        Sanctum::authenticateAccessTokensUsing(static function (PersonalAccessToken $token, bool $isValid): bool {
            $holder = $token->tokenable;

            return $isValid && $holder instanceof User && $holder->disabled_at === null;
        });
        RateLimiter::for('typing', static fn (Request $request): Limit => Limit::perMinute(1200)->by(
            (string) ($request->user()->id ?? $request->ip()),
        ));
        // what takes a second or more of the machine: sheets as PDF, plans, patterns of one's own, whole exports
        RateLimiter::for('costly', static fn (Request $request): Limit => Limit::perMinute(60)->by(
            'costly:'.($request->user()->id ?? $request->ip()),
        ));
        // some megabytes each, asked for one after another
        RateLimiter::for('picked', static fn (Request $request): Limit => Limit::perMinute(
            $request->user() === null ? 300 : 1200,
        )->by('picked:'.($request->user()->id ?? $request->ip())));
        RateLimiter::for('pictures', static fn (Request $request): Limit => Limit::perMinute(600)->by(
            'pictures:'.($request->user()->id ?? $request->ip()),
        ));
        RateLimiter::for('work', static fn (Request $request): Limit => Limit::perMinute(240)->by(
            (string) ($request->user()->id ?? $request->ip()),
        ));
    }

    /** Who works on the queue says so, and which job it has; a job says which check it is of. */
    private function watchWorkers(): void
    {
        Queue::createPayloadUsing(static function (string $connection, ?string $queue, array $payload): array {
            $job = $payload['data']['command'] ?? null;

            return $job instanceof ScanSlice ? ['check' => $job->check, 'of' => 'scan'] : [];
        });
        $own = static fn (object $event): bool => ($event->connectionName ?? 'sync') !== 'sync';
        Event::listen(WorkerStarting::class, static fn () => Workers::begin());
        Event::listen(Looping::class, static function (): void {
            Workers::beat();
            // now and then, and of several workers mostly one at a time
            if (Cache::add('lost-checks-looked-for', true, 20)) {
                Workers::free();
                Waiting::breakOffLost();
            }
        });
        Event::listen(
            JobProcessing::class,
            static fn (JobProcessing $event) => $own($event) ? Workers::has((string) $event->job->getJobId()) : null,
        );
        Event::listen(
            [JobProcessed::class, JobExceptionOccurred::class, JobFailed::class],
            static fn (object $event) => $own($event) ? Workers::has(null) : null,
        );
        Event::listen(WorkerStopping::class, static fn () => Workers::end());
    }
}
