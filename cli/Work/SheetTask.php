<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Printing\SheetPdf;

/** A sheet as PDF. */
final readonly class SheetTask
{
    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private \Closure $say) {}

    /**
     * @param  string  $order  JSON: the page by the size of its letters, and where is kept what is measured of those
     */
    public function run(string $order): void
    {
        /** @var array{pages: array<int, string>, cache: string} $given */
        $given = json_decode($order, true, 8, JSON_THROW_ON_ERROR);
        $pdf = (new SheetPdf($given['cache']))->write(static fn (int $size): string => $given['pages'][$size]);
        ($this->say)(['pdf' => base64_encode($pdf)]);
    }
}
