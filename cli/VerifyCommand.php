<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Sealing\SealedSums;
use PlainLedger\Core\Sealing\SealRefused;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Submission\RecordKey;
use PlainLedger\Core\Submission\SubmissionRecord;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `verify`: whether files are still those that were sealed. */
#[AsCommand('verify', 'Compares files with the checksums that were written of them.')]
final class VerifyCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('files', null, InputOption::VALUE_REQUIRED, 'the delivery: a folder, or a zip of it')
            ->addOption('list', null, InputOption::VALUE_REQUIRED, 'a list kept elsewhere; else those in the delivery')
            ->addOption('record', null, InputOption::VALUE_REQUIRED, 'a submission record: its signature and its sums')
            ->addOption('key', null, InputOption::VALUE_REQUIRED, 'the key the record is to be signed by')
            ->addOption('json', null, InputOption::VALUE_NONE, 'print what was found as JSON')
            ->setHelp(<<<'HELP'
                Reads all files and says which are as they were sealed, changed, missing, new, or renamed (the same
                bytes under another name), by the lists among them: of sha256sum and its kin, of xxhsum, ASC MHL with
                its chain.

                  bin/plain-ledger verify --files delivery/TC_010
                  bin/plain-ledger verify --files delivery.zip --list delivery.sha256 --json
                  bin/plain-ledger verify --record TC_010-submission.json --files delivery/TC_010

                A record says by itself whether it is as it was signed, and by which key; --key refuses any other.

                Exit code: 0 all as it was, 1 something is otherwise, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $record = $this->record($input);
        $files = $this->text($input, 'files');
        if ($files === null && $record === null) {
            throw new InvalidOptionException('--files is needed: the delivery to verify.');
        }
        $faults = $record === null ? [] : self::faultsOf($record, $this->text($input, 'key'));
        $found = null;
        $sealed = null;
        if ($files !== null) {
            $listing = PlaceListing::of($files);
            $sealed = $this->sealed($listing, $files, $record, $this->text($input, 'list'));
            $run = new SealRun($listing, Verification::algorithms($sealed->sums));
            iterator_count($run->steps());
            $found = Verification::of($sealed->sums, $run->result());
            $faults = [...$faults, ...$sealed->faults];
        }
        $report = new VerifyReport($record, $found, $sealed->lists ?? [], $faults);
        $output->write(
            $input->getOption('json') === true ? $report->json() : $report->words(),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return $report->holds() ? 0 : 1;
    }

    private function record(InputInterface $input): ?SubmissionRecord
    {
        $path = $this->text($input, 'record');
        if ($path === null) {
            return null;
        }
        if ($this->text($input, 'list') !== null) {
            throw new InvalidOptionException('A record has a list of its own: give --record or --list.');
        }

        return SubmissionRecord::read(TextFile::read($path, $path, SubmissionRecord::LARGEST), $path);
    }

    /** @return list<string> what is wrong with a record itself */
    private static function faultsOf(SubmissionRecord $record, ?string $key): array
    {
        $faults = $record->holds() ? [] : ['The record is not as it was signed, or was signed by nobody.'];
        $asked = $key === null ? null : str_replace(' ', '', strtolower($key));
        $print = RecordKey::fingerprint($record->key());
        $own = [str_replace(' ', '', $print), strtolower(base64_encode($record->key()))];

        return $asked === null || in_array($asked, $own, true)
            ? $faults
            : [...$faults, "The record is signed by another key, {$print}."];
    }

    /** @throws SealRefused where there is nothing to compare with */
    private function sealed(Listing $listing, string $files, ?SubmissionRecord $record, ?string $list): SealedSums
    {
        $sealed = match (true) {
            $record !== null => SealedSums::told($record->sums()),
            $list !== null => SealedSums::of(FileSource::open($list), basename($list)),
            default => SealedSums::in($listing),
        };
        if ($sealed->sums === []) {
            throw $list === null && $record === null
                ? SealRefused::because($files, 'has no list of checksums in it; give --list FILE')
                : SealRefused::because($list ?? 'the record', 'holds no checksums');
        }

        return $sealed;
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
