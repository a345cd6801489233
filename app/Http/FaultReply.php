<?php

declare(strict_types=1);

namespace App\Http;

use App\Health\MachineTrouble;
use App\Http\Pages\Account\FaultPage;
use App\Language\Phrase;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A page in plain words in place of what the framework would say of a fault. */
final readonly class FaultReply
{
    private const TOLD = [403, 404, 405, 413, 419, 429, 500, 503];

    public static function insteadOf(Response $response, \Throwable $fault, Request $request): Response
    {
        $status = $response->getStatusCode();
        $forProgram = $request->is('api/*') || ($request->expectsJson() && ! $request->header('X-Inertia'));
        if (
            ! in_array($status, self::TOLD, true)
            || $forProgram
            || MachineTrouble::behind($fault) !== null
            || app()->hasDebugModeEnabled()
        ) {
            return $response;
        }
        if ($status === 419) {
            return back()->withErrors(['refused' => Phrase::of('This page had been open too long. Try once more.')]);
        }
        $says = $fault instanceof AuthorizationException ? $fault->getMessage() : null;

        return (new FaultPage($status, $says))->render()->toResponse($request)->setStatusCode($status);
    }
}
