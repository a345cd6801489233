<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Media\TooLarge;
use PlainLedger\Core\Report\Sheet\SheetHtml;

/** Has a sheet set as PDF apart: what is long enough takes minutes to lay out. */
final readonly class SheetProcess
{
    /** Seconds that one may take. */
    private const PATIENCE = 40;

    /**
     * @param  callable(int): string  $html  by the size of its letters
     * @return string PDF
     *
     * @throws TooLarge
     */
    public static function make(callable $html): string
    {
        $pages = [];
        foreach (SheetHtml::SIZES as $size) {
            $pages[$size] = $html($size);
        }
        $pdf = null;
        $order = json_encode(['pages' => $pages, 'cache' => (string) config('ledger.fonts')], JSON_THROW_ON_ERROR);
        (new ChildProcess((int) config('ledger.child_memory') << 20, self::PATIENCE))->run('sheet', $order, static function (array $line) use (&$pdf): bool {
            $pdf = isset($line['pdf']) ? (string) base64_decode((string) $line['pdf'], true) : $pdf;

            return true;
        });

        return $pdf ?? throw TooLarge::of('a sheet that takes longer than '.self::PATIENCE.' seconds to be set as PDF; take it as a page (HTML) and print that');
    }
}
