<?php

declare(strict_types=1);

namespace PlainLedger\Printing;

use Dompdf\Dompdf;
use Dompdf\Options;
use PlainLedger\Core\Report\Sheet\SheetHtml;

/** The sheet as a PDF of A4, on one page wherever letters that can still be read get it there. */
final readonly class SheetPdf
{
    /** @param  string  $cache  a folder that can be written, for what has been measured of the letters */
    public function __construct(private string $cache) {}

    /** @param  callable(int): string  $html  by the size of its letters, in tenths of a point */
    public function write(callable $html): string
    {
        foreach (SheetHtml::SIZES as $size) {
            $pdf = $this->rendered($html($size));
            if ($pdf->getCanvas()->get_page_count() === 1) {
                break;
            }
        }

        return (string) $pdf->output();
    }

    private function rendered(string $html): Dompdf
    {
        $options = new Options;
        // nothing is fetched and nothing in the page is run
        $options->setIsRemoteEnabled(false);
        $options->setIsPhpEnabled(false);
        $options->setDefaultMediaType('print');
        $options->setDefaultFont('DejaVu Serif');
        $options->setFontCache($this->cache);
        $options->setTempDir(sys_get_temp_dir());
        $pdf = new Dompdf($options);
        $pdf->setPaper('A4');
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return $pdf;
    }
}
