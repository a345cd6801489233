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
        $this->app->bind('db.connector.sqlite', ImmediateConnector::class);
    }

    public function boot(): void
    {
        // also for pages that say what went wrong before a route was found
        Inertia::setRootView('book');
        Model::shouldBeStrict(! $this->app->isProduction());
        // five tries a minute for one name from one address, and thirty from one address whatever the name
        RateLimiter::for('sign-in', static function (Request $request): array {
            $limited = static fn () => back()->withErrors(['email' => 'Too many tries. Wait a minute, then try again.']);

            return [
                Limit::perMinute(5)->by(strtolower($request->string('email')->limit(190, '')->value()).'|'.$request->ip())->response($limited),
                Limit::perMinute(30)->by((string) $request->ip())->response($limited),
            ];
        });
        RateLimiter::for('work', static fn (Request $request): Limit => Limit::perMinute(240)->by((string) ($request->user()->id ?? $request->ip())));
    }
}
