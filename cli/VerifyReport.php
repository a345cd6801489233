<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use PlainLedger\Core\Text\Text;

/** What `verify` found, in words and as JSON. */
final readonly class VerifyReport
{
    /** Lines of a kind that are printed. */
    private const MOST = 50;

    /**
     * @param  Verification|null  $found  null where only a record was looked at
     * @param  list<string>  $lists
     * @param  list<string>  $faults  of the lists and of the record, a sentence each
     */
    public function __construct(
        private ?SubmissionRecord $record,
        private ?Verification $found,
        private array $lists,
        private array $faults,
    ) {}

    public function holds(): bool
    {
        return $this->faults === [] && ($this->found === null || $this->found->holds());
    }

    public function json(): string
    {
        $document = ['format' => 'plain-ledger/verification', 'version' => 1, 'holds' => $this->holds()]
            + ($this->record === null ? [] : ['key' => RecordKey::fingerprint($this->record->key())])
            + ['lists' => $this->lists, 'faults' => $this->faults]
            + ($this->found === null ? [] : $this->found->toArray());

        return json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE
                | JSON_THROW_ON_ERROR,
        )."\n";
    }

    public function words(): string
    {
        $lines = $this->faults;
        if ($this->record !== null && $this->record->holds()) {
            $lines[] = 'The record is as it was signed, by the key '.RecordKey::fingerprint($this->record->key()).'.';
        }
        foreach ($this->found === null ? [] : self::kinds($this->found) as $kind => $all) {
            foreach (array_slice($all, 0, self::MOST) as $each) {
                $lines[] = "{$kind}: ".Text::shown($each);
            }
            if (count($all) > self::MOST) {
                $lines[] = "{$kind}: ".(count($all) - self::MOST).' more; --json names all.';
            }
        }
        if ($this->found !== null) {
            $same = Text::count($this->found->same, 'file is as it was', 'files are as they were');
            array_unshift($lines, "{$same} sealed.");
        }

        return implode("\n", $lines)."\n";
    }

    /** @return array<string, list<string>> */
    private static function kinds(Verification $found): array
    {
        return [
            'Changed' => $found->changed,
            'Missing' => $found->missing,
            'New' => $found->new,
            'Renamed' => array_map(static fn (array $p): string => "{$p[0]} is {$p[1]} now", $found->renamed),
            'Not read' => array_map(
                static fn (string|int $path, string $why): string => "{$path}: {$why}",
                array_keys($found->unreadable),
                $found->unreadable,
            ),
        ];
    }
}
