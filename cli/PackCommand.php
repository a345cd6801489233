<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\Archive\ZipWriter;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Sealing\SealWriter;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Submission\Package;
use PlainLedger\Core\Submission\PackageRefused;
use PlainLedger\Core\Submission\SubmissionRecord;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `pack`: what was signed, as it is handed over. */
#[AsCommand('pack', 'Packs a signed delivery with its checksums, its record and the sheet.')]
final class PackCommand extends Command
{
    private const PIECE = 1 << 20;

    protected function configure(): void
    {
        $this->addOption('record', null, InputOption::VALUE_REQUIRED, 'required: the record of the submission, as JSON')
            ->addOption('files', null, InputOption::VALUE_REQUIRED, 'required: the signed files, a folder or a zip')
            ->addOption('into', null, InputOption::VALUE_REQUIRED, 'required: an archive FILE.zip, or a folder')
            ->setHelp(<<<'HELP'
                Reads the files and holds them against the record; what is not as it was signed is not packed. Then the
                files, lists of their checksums, the record and the sheet are written into an archive or a folder.

                  bin/plain-ledger pack --record TC_010-record.json --files delivery/TC_010 --into TC_010.zip
                  bin/plain-ledger pack --record TC_010-record.json --files delivery/TC_010 --into to_hand_over

                Exit code: 0 packed, 1 the files or the record are not as they were signed, 3 the input could not be
                used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $this->needed($input, 'record');
        $into = rtrim($this->needed($input, 'into'), '/');
        $listing = PlaceListing::of($this->needed($input, 'files'));
        $record = SubmissionRecord::read(TextFile::read($path, $path, SubmissionRecord::LARGEST), $path);
        if (! $record->holds()) {
            $output->writeln('The record is not as it was signed, or was signed by nobody.');

            return self::FAILURE;
        }
        $found = self::compared($record, $listing);
        if (! $found->holds()) {
            $output->writeln('The files are not those that were signed; verify --record tells which.');

            return self::FAILURE;
        }
        $package = Package::of($record, $listing, (new SheetHtml)->write(self::asked($record, $path)));
        str_ends_with(strtolower($into), '.zip') ? self::archive($package, $into) : self::folder($package, $into);
        $output->writeln(Text::count(count($record->sizes()), 'file').' packed into '.Text::shown($into).'.');

        return self::SUCCESS;
    }

    private function needed(InputInterface $input, string $name): string
    {
        $value = $input->getOption($name);
        if (! is_string($value) || $value === '') {
            throw new InvalidOptionException("--{$name} is needed.");
        }

        return $value;
    }

    private static function compared(SubmissionRecord $record, Listing $listing): Verification
    {
        $sums = $record->sums();
        $run = new SealRun($listing, Verification::algorithms($sums) ?: [SumAlgorithm::Sha256]);
        iterator_count($run->steps());

        return Verification::of($sums, $run->result());
    }

    private static function asked(SubmissionRecord $record, string $label): Specification
    {
        $asked = json_encode($record->data['asked'] ?? (object) [], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

        return Specification::fromDocument(JsonDocument::parse($asked, $label, Specification::FORMAT));
    }

    private static function archive(Package $package, string $into): void
    {
        $folder = dirname($into);
        if (! is_dir($folder)) {
            throw PackageRefused::because(
                'The archive was to be written into “'.Text::shown($folder).'”, which is no folder.',
            );
        }
        (new SealWriter($folder))->write(basename($into), ZipWriter::write($package->files(time())));
    }

    private static function folder(Package $package, string $into): void
    {
        if (file_exists($into) && (! is_dir($into) || (scandir($into) ?: []) !== ['.', '..'])) {
            throw PackageRefused::because(
                '“'.Text::shown($into).'” is there already; give a new or an empty folder.',
            );
        }
        is_dir($into) || @mkdir($into) || throw PackageRefused::because(
            'The folder “'.Text::shown($into).'” could not be made.',
        );
        $writer = new SealWriter($into);
        foreach ($package->files(time()) as [$path, $modified, $source]) {
            self::makeFolders($into, dirname($path));
            $writer->write($path, self::pieces($source));
            touch("{$into}/{$path}", $modified);
        }
    }

    private static function makeFolders(string $into, string $below): void
    {
        $at = $into;
        foreach ($below === '.' ? [] : explode('/', $below) as $name) {
            $at .= "/{$name}";
            is_dir($at) || mkdir($at);
        }
    }

    /** @return \Generator<int, string> */
    private static function pieces(ByteSource $source): \Generator
    {
        $size = $source->size();
        for ($at = 0; $at < $size; $at += self::PIECE) {
            yield $source->read($at, min(self::PIECE, $size - $at));
        }
    }
}
