<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\ImmediateConnector;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Inertia\Inertia;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // newer ones begin a transaction by its mode themselves
        if (PHP_VERSION_ID < 80400) {
            $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
        }
    }

    public function boot(): void
    {
        // also for pages that say what went wrong before a route was found
        Inertia::setRootView('book');
        Model::shouldBeStrict(! $this->app->isProduction());
        RateLimiter::for('typing', static fn (Request $request): Limit => Limit::perMinute(1200)->by((string) ($request->user()->id ?? $request->ip())));
        RateLimiter::for('work', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) ($request->user()->id ?? $request->ip())));
    }
}
