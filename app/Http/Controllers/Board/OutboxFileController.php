<?php

declare(strict_types=1);

namespace App\Http\Controllers\Board;

use App\Http\Downloads;
use App\Models\Message;
use App\Models\Production;
use Illuminate\Http\Response as PlainResponse;
use PlainLedger\Core\Messages\Mailbox;

/** The outbox as a file. */
final class OutboxFileController
{
    public function __invoke(Production $production, string $format): PlainResponse
    {
        $messages = array_values($production->newestMessages()->reverse()->map(self::line(...))->all());
        [$body, $type] = match ($format) {
            'mbox' => [Mailbox::of($messages), 'application/mbox'],
            'json' => [Downloads::pretty($messages), 'application/json'],
            'txt' => [self::text($messages), 'text/plain; charset=utf-8'],
            default => abort(404),
        };

        return Downloads::file($body, $type, "{$production->code}-messages.{$format}");
    }

    /** @return array{from: string, to: string, subject: string, body: string, at: int} */
    private static function line(Message $message): array
    {
        return [
            'from' => $message->by->email ?? 'nobody@ledger.example',
            'to' => $message->to->email,
            'subject' => $message->subject,
            'body' => $message->body,
            'at' => $message->created_at->getTimestamp(),
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
