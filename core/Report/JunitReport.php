<?php

declare(strict_types=1);

namespace PlainLedger\Core\Report;

use PlainLedger\Core\Checking\Entry;
use PlainLedger\Core\Checking\Mark;
use PlainLedger\Core\Specification\Level;

/**
 * JUnit XML: a suite a part, a case an entry. A *must* that is unequal fails, one that could not be read is an error.
 */
final readonly class JunitReport implements ReportWriter
{
    public function write(CheckReport $account): string
    {
        $document = new \DOMDocument('1.0', 'UTF-8');
        $document->formatOutput = true;
        $suites = $document->createElement('testsuites');
        $suites->setAttribute(
            'name',
            self::clean($account->specification->title === '' ? 'Plain Ledger' : $account->specification->title),
        );
        foreach ($account->specification->parts as $part) {
            $entries = array_values(
                array_filter($account->check->entries, static fn (Entry $e): bool => $e->part === $part->name),
            );
            $musts = static fn (Mark $mark): int => count(
                array_filter($entries, static fn (Entry $e): bool => $e->mark === $mark && $e->level() === Level::Must),
            );
            $suite = $document->createElement('testsuite');
            foreach ([
                'name' => self::clean($part->name),
                'tests' => (string) count($entries),
                'failures' => (string) $musts(Mark::Unequal),
                'errors' => (string) $musts(Mark::Unknown),
            ] as $name => $value) {
                $suite->setAttribute($name, $value);
            }
            foreach ($entries as $entry) {
                $suite->appendChild($this->case($document, $account, $entry));
            }
            $suites->appendChild($suite);
        }
        $document->appendChild($suites);

        return (string) $document->saveXML();
    }

    private function case(\DOMDocument $document, CheckReport $account, Entry $entry): \DOMElement
    {
        $case = $document->createElement('testcase');
        $case->setAttribute('name', $entry->id());
        $case->setAttribute('classname', self::clean($entry->part));
        $must = $entry->level() === Level::Must;
        if ($must && $entry->mark === Mark::Unequal) {
            $failure = $document->createElement('failure');
            $failure->setAttribute('message', self::message($entry));
            $failure->appendChild($document->createTextNode(self::clean(self::causes($account, $entry))));
            $case->appendChild($failure);
        } elseif ($must && $entry->mark === Mark::Unknown) {
            $error = $document->createElement('error');
            $error->setAttribute('message', self::clean("required {$entry->required}, could not be read"));
            $case->appendChild($error);
        } elseif ($entry->mark !== Mark::Equal) {
            $told = $case->appendChild($document->createElement('system-out'));
            $told->appendChild($document->createTextNode(self::message($entry)));
        }

        return $case;
    }

    private static function message(Entry $entry): string
    {
        $found = $entry->files->found ?? $entry->scene->found ?? 'not readable';

        return self::clean("required {$entry->required}, found {$found}");
    }

    private static function causes(CheckReport $account, Entry $entry): string
    {
        $says = [];
        foreach ($account->causes as $cause) {
            if ($cause->part === $entry->part && in_array($entry->id(), $cause->explains, true)) {
                $says[] = "{$cause->finding->id->value}: {$cause->says()}";
            }
        }

        return implode("\n", $says);
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
