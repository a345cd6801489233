<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Actions\Messages\OutboxLetter;
use App\Http\Downloads;
use App\Models\Production;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Messages\Mailbox;

/** The outbox as a file. */
final class OutboxFileController
{
    public function __invoke(Production $production, string $format): PlainResponse
    {
        $messages = array_map(self::line(...), array_reverse(OutboxLetter::all($production)));
        [$body, $type] = match ($format) {
            'mbox' => [Mailbox::of($messages), 'application/mbox'],
            'json' => [Downloads::pretty($messages), 'application/json'],
            'txt' => [self::text($messages), 'text/plain; charset=utf-8'],
            default => abort(404),
        };

        return Downloads::file($body, $type, "{$production->code}-messages.{$format}");
    }

    /** @return array{from: string, to: string, subject: string, body: string, at: int} */
    private static function line(OutboxLetter $letter): array
    {
        return [
            'from' => $letter->by->email ?? 'nobody@ledger.example',
            'to' => $letter->address,
            'subject' => $letter->subject,
            'body' => $letter->body,
            'at' => $letter->at->getTimestamp(),
        ];
    }

    /** @param  list<array{from: string, to: string, subject: string, body: string, at: int}>  $messages */
    private static function text(array $messages): string
    {
        return implode("\n".str_repeat('=', 72)."\n\n", array_map(
            static fn (array $m): string => "To: {$m['to']}\nSubject: {$m['subject']}\n\n{$m['body']}",
            $messages,
        ));
    }
}
