<?php

declare(strict_types=1);

namespace Tests\Core\Submission;

use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Submission\DeliveryNote;

/** A note of all that was handed over. */
final class DeliveryNoteTest extends TestCase
{
    public function test_lines_and_totals(): void
    {
        $line = static fn (string $code, int $files): array => [
            'code' => $code, 'title' => '=1+1 <b>', 'number' => 2, 'files' => $files, 'bytes' => $files * 1000,
            'signed_at' => '2026-11-29 09:00 UTC', 'signed_by' => 'Odile', 'accepted' => 1,
            'fingerprint' => str_repeat('ab', 32),
        ];
        $lines = [$line('A', 3), $line('B', 1200)];
        $note = new DeliveryNote('The Tide Clock: delivery note', 'TC, written today.', $lines);
        $print = str_repeat('ab', 32);

        self::assertSame(
            "code,title,submission,files,bytes,signed at,signed by,accepted,fingerprint\r\n"
                ."A,'=1+1 <b>,2,3,3000,2026-11-29 09:00 UTC,Odile,1,{$print}\r\n"
                ."B,'=1+1 <b>,2,1200,1200000,2026-11-29 09:00 UTC,Odile,1,{$print}\r\n"
                ."total,,2,1203,1203000,,,,\r\n",
            $note->csv(),
        );
        $html = $note->html('8pt');
        self::assertStringContainsString('2 deliverables, 1203 files, 1,203,000 bytes.', $html);
        self::assertStringContainsString('=1+1 &lt;b&gt;', $html);
        self::assertStringContainsString('font: 8pt/', $html);
        self::assertStringContainsString('TC, written today.', $html);
        self::assertStringContainsString('0 deliverables, 0 files, 0 bytes.', (new DeliveryNote('x', '', []))->html());
    }
}
