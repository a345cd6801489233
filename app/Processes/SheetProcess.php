<?php

declare(strict_types=1);

namespace App\Processes;

use PlainLedger\Core\Media\FileTooLarge;
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
     * @throws FileTooLarge
     */
    public static function make(callable $html): string
    {
        $pages = [];
        foreach (SheetHtml::SIZES as $size) {
            $pages[$size] = $html($size);
        }
        $order = json_encode(['pages' => $pages, 'cache' => (string) config('ledger.fonts')], JSON_THROW_ON_ERROR);

        return ChildProcess::answer('sheet', $order, 'pdf', self::PATIENCE)
            ?? throw FileTooLarge::of(
                'a sheet that takes longer than '
                    .self::PATIENCE
                    .' seconds to be set as PDF; take it as a page (HTML) and print that',
            );
    }
}
