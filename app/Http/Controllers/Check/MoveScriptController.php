<?php

declare(strict_types=1);

namespace App\Http\Controllers\Check;

use App\Actions\Checks\PlanMoves;
use App\Http\Downloads;
use App\Models\Check;
use App\Models\CheckState;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use PlainLedger\Core\Remedy\FileMoves\MoveScript;
use PlainLedger\Core\Text\PlainSentence;

/** The same for where the files are: a script, a table, or what a browser there can carry out. */
final class MoveScriptController
{
    public function __invoke(#[CurrentUser] User $reader, Check $check, string $format, PlanMoves $plan): Response
    {
        abort_unless($check->state === CheckState::Done, 404);
        try {
            $moves = $plan->run($check, $reader, Carbon::now()->utc()->format('Y-m-d-His'));
        } catch (PlainSentence $refused) {
            abort(404, $refused->getMessage());
        }
        [$text, $type] = match ($format) {
            'sh' => [MoveScript::shell($moves), 'text/x-shellscript; charset=utf-8'],
            'bat' => [MoveScript::batch($moves), 'text/plain; charset=utf-8'],
            'csv' => [MoveScript::csv($moves), 'text/csv; charset=utf-8'],
            'json' => [MoveScript::json($moves), 'application/json'],
            default => abort(404),
        };

        return Downloads::file($text, $type, "{$check->deliverable->code}-put-right.{$format}");
    }
}
