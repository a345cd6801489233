<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

/** What is to be scanned, and what of it is known already. */
final readonly class ScanPlace
{
    /**
     * @param  string  $path  its real place
     * @param  string  $called  how an archive was called that lies under another name; `""`: as its file is
     * @param  string  $known  a file: what an earlier scan of the same place found; `""` where there is none
     */
    public function __construct(public string $path, public string $called = '', public string $known = '') {}
}
