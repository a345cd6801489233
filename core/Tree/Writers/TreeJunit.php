<?php

declare(strict_types=1);

namespace PlainLedger\Core\Tree\Writers;

use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Diagnosis\Cause;
use PlainLedger\Core\Tree\TreeReport;
use PlainLedger\Core\Tree\TreeRow;

/** JUnit XML: one suite, a case a deliverable. One that is unbalanced fails, one that is open is an error. */
final readonly class TreeJunit implements TreeWriter
{
    public function write(TreeReport $tree): string
    {
        $document = new \DOMDocument('1.0', 'UTF-8');
        $document->formatOutput = true;
        $suites = $document->createElement('testsuites');
        $suite = $document->createElement('testsuite');
        foreach ([
            'name' => 'Plain Ledger',
            'tests' => (string) count($tree->rows),
            'failures' => (string) $tree->count(Verdict::Unbalanced),
            'errors' => (string) $tree->count(Verdict::Open),
        ] as $name => $value) {
            $suite->setAttribute($name, $value);
        }
        foreach ($tree->rows as $row) {
            $suite->appendChild(self::case($document, $row));
        }
        $suites->appendChild($suite);
        $document->appendChild($suites);

        return (string) $document->saveXML();
    }

    private static function case(\DOMDocument $document, TreeRow $row): \DOMElement
    {
        $case = $document->createElement('testcase');
        $case->setAttribute('name', self::clean($row->owed->label()));
        $case->setAttribute('classname', self::clean($row->owed->key));
        $verdict = $row->report->check->verdict;
        if ($verdict !== Verdict::Balanced) {
            $told = $document->createElement($verdict === Verdict::Open ? 'error' : 'failure');
            $told->setAttribute('message', self::clean($row->says()));
            $causes = array_map(
                static fn (Cause $cause): string => "{$cause->finding->id->value}: {$cause->says()}",
                $row->report->causes,
            );
            $told->appendChild($document->createTextNode(self::clean(implode("\n", $causes))));
            $case->appendChild($told);
        }

        return $case;
    }

    /** Without the characters XML cannot hold. */
    private static function clean(string $text): string
    {
        return (string) preg_replace(
            '~[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]~u',
            '',
            mb_scrub($text, 'UTF-8'),
        );
    }
}
