<?php

declare(strict_types=1);

/*
 * One piece of work apart from whoever orders it, so that a file that takes all memory or time there is ends this
 * process and no other. The order comes on standard input in one line of JSON; lines of JSON on standard output say how
 * it goes.
 */

use PlainLedger\Cli\Work\PickedTask;
use PlainLedger\Cli\Work\ScanTask;
use PlainLedger\Cli\Work\SheetTask;
use PlainLedger\Cli\Work\ThumbnailTask;
use PlainLedger\Cli\Work\TreeTask;
use PlainLedger\Core\Delivery\Picked\PickedOrder;
use PlainLedger\Core\Delivery\ScanOrder;
use PlainLedger\Core\Text\PlainSentence;
use PlainLedger\Core\Tree\TreeOrder;

require __DIR__.'/../vendor/autoload.php';

ini_set('display_errors', 'stderr');
ini_set('pcre.backtrack_limit', '10000000');
$say = static function (array $line): void {
    // whoever ordered this may be gone; then nobody needs the rest
    if (@fwrite(STDOUT, json_encode($line, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n") === false) {
        exit(1);
    }
};
$order = (string) stream_get_contents(STDIN);
try {
    match ($argv[1] ?? '') {
        'scan' => (new ScanTask($say))->run(ScanOrder::read($order)),
        'sheet' => (new SheetTask($say))->run($order),
        'picked' => (new PickedTask($say))->run(PickedOrder::read($order)),
        'tree' => (new TreeTask($say))->run(TreeOrder::read($order)),
        'thumbnail' => (new ThumbnailTask($say))->run($order),
        default => throw new InvalidArgumentException('The work is “scan”, “picked”, “tree”, “sheet” or “thumbnail”.'),
    };
} catch (PlainSentence $refused) {
    $say(['refused' => $refused->getMessage(), 'place' => $refused->place(), 'reason' => $refused->reason()]);
}
