<?php

declare(strict_types=1);

use App\Http\Controllers\Account\HealthController;
use App\Http\FaultReply;
use App\Http\Middleware\AnswerPrograms;
use App\Http\Middleware\EndOldSessions;
use App\Http\Middleware\KeepArchived;
use App\Http\Middleware\NoteExports;
use App\Http\Middleware\NoteVisit;
use App\Http\Middleware\OpenSession;
use App\Http\Middleware\PackAnswers;
use App\Http\Middleware\RefuseOtherHosts;
use App\Http\Middleware\SayHowLong;
use App\Http\Middleware\SendHeaders;
use App\Http\Middleware\ShareWithPages;
use App\Http\Middleware\SlowGuesses;
use App\Http\Moment;
use App\Http\TroubleReply;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use PlainLedger\Core\Text\PlainSentence;
use Symfony\Component\HttpFoundation\Response;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        then: static function (): void {
            // for whoever watches the installation; also where sessions cannot be kept
            Route::get('/up', HealthController::class)->name('health');
        },
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend([SayHowLong::class, PackAnswers::class, SendHeaders::class]);
        $middleware->append(RefuseOtherHosts::class);
        // the page writes it, for the server to read
        $middleware->encryptCookies([Moment::COOKIE]);
        $middleware->web(
            append: [
                EndOldSessions::class, NoteVisit::class, NoteExports::class, ShareWithPages::class, KeepArchived::class,
            ],
            replace: [StartSession::class => OpenSession::class],
        );
        $middleware->api(append: [KeepArchived::class]);
        // whoever may not see it is told nothing of it
        $middleware->appendToPriorityList(Authorize::class, KeepArchived::class);
        // it counts what the look at tokens says, so it stands before that
        $middleware->prependToPriorityList(AuthenticatesRequests::class, SlowGuesses::class);
        $middleware->prependToPriorityList(SlowGuesses::class, AnswerPrograms::class);
        $middleware->redirectGuestsTo(fn () => route('sign-in'));
        $middleware->redirectUsersTo(fn () => route('productions'));
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([PlainSentence::class]);
        $exceptions->shouldRenderJsonWhen(
            static fn (Request $request): bool => $request->is('api/*') || $request->expectsJson(),
        );
        // what the core refuses is told beside the field or as the page's message, never as a fault
        $exceptions->render(function (PlainSentence $refused, Request $request): Response {
            return $request->is('api/*') || ($request->expectsJson() && ! $request->header('X-Inertia'))
                ? response()->json(['message' => $refused->getMessage()], 422)
                : back()->withErrors(['refused' => $refused->getMessage()]);
        });
        $exceptions->render(
            static fn (Throwable $fault, Request $request): ?Response => TroubleReply::to($fault, $request),
        );
        $exceptions->respond(
            static fn (Response $response, Throwable $fault, Request $request): Response => SendHeaders::on(
                FaultReply::insteadOf($response, $fault, $request),
                $request,
            ),
        );
    })
    ->create();
