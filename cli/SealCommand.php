<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Checksums\SumLines;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Sealing\MhlGeneration;
use PlainLedger\Core\Sealing\MhlHistory;
use PlainLedger\Core\Sealing\Seal;
use PlainLedger\Core\Sealing\SealedSums;
use PlainLedger\Core\Sealing\SealRefused;
use PlainLedger\Core\Sealing\SealRun;
use PlainLedger\Core\Sealing\SealWriter;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `seal`: the sums of a delivery, written beside it. */
#[AsCommand('seal', 'Writes the checksums of all files of a delivery beside them.')]
final class SealCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('files', null, InputOption::VALUE_REQUIRED, 'required: the delivery, a folder or a zip of it')
            ->addOption('mhl', null, InputOption::VALUE_NONE, 'write an ASC MHL generation instead of a list of lines')
            ->addOption(
                'with',
                null,
                InputOption::VALUE_REQUIRED,
                'sha256, sha512, sha1, md5, xxh64, xxh3, xxh128, several by commas [sha256; with --mhl xxh64]',
            )
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'where the list is written instead; - prints it')
            ->addOption('author', null, InputOption::VALUE_REQUIRED, 'who is named in an ASC MHL document', '')
            ->setHelp(<<<'HELP'
                Reads each file once and writes its sums: a list as sha256sum reads it, checksums.sha256 (one for each
                algorithm), or with --mhl the next generation in the folder ascmhl with its chain. Files that are in a
                list already and have other bytes now are told, and no list is written over theirs.

                  bin/plain-ledger seal --files delivery/TC_010
                  bin/plain-ledger seal --files delivery/TC_010 --with sha256,md5
                  bin/plain-ledger seal --files delivery/TC_010 --mhl --author "Odile"
                  bin/plain-ledger seal --files delivery.zip --out delivery.sha256

                Exit code: 0 sealed, 1 files differ from an earlier list or could not be read, 3 the input could not be
                used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $files = $this->text($input, 'files')
            ?? throw new InvalidOptionException('--files is needed: the delivery to seal.');
        $out = $this->text($input, 'out');
        $isMhl = $input->getOption('mhl') === true;
        $algorithms = $this->algorithms($input, $isMhl);
        self::expectPlace($files, $out, $isMhl, count($algorithms));
        $listing = PlaceListing::of($files);

        return $isMhl
            ? $this->manifest($listing, $files, $algorithms, $this->text($input, 'author') ?? '', $output)
            : $this->lines($listing, $files, $algorithms, $out, $output);
    }

    /** Whether what is asked can be written where it is asked. */
    private static function expectPlace(string $files, ?string $out, bool $isMhl, int $kinds): void
    {
        if (is_file($files) && $isMhl) {
            throw new InvalidOptionException('ASC MHL is written into the folder it is of: --files is none.');
        }
        if (is_file($files) && $out === null) {
            throw new InvalidOptionException('Nothing can be written into what is no folder: give --out FILE.');
        }
        if ($isMhl && $out !== null) {
            throw new InvalidOptionException('ASC MHL lies in the folder it is of: --out cannot go with --mhl.');
        }
        if ($out !== null && $kinds > 1) {
            throw new InvalidOptionException('One list holds sums of one kind: give --with one of them beside --out.');
        }
    }

    /** @param  list<SumAlgorithm>  $algorithms */
    private function lines(
        Listing $listing,
        string $files,
        array $algorithms,
        ?string $out,
        OutputInterface $output,
    ): int {
        $before = SealedSums::in($listing)->sums;
        $seal = self::sealed($listing, self::together($algorithms, Verification::algorithms($before)));
        $differ = self::differing($seal, $before);
        if ($differ !== []) {
            return $this->differs($differ, 'is in a list and has other bytes now', $output);
        }
        foreach ($algorithms as $algorithm) {
            $lines = SumLines::write($seal->sums($algorithm));
            if ($out === '-') {
                $output->write($lines, false, OutputInterface::OUTPUT_RAW);

                continue;
            }
            $path = $out ?? "checksums.{$algorithm->value}";
            $writer = new SealWriter($out === null ? rtrim((string) realpath($files), '/') : dirname($path));
            $writer->write($out === null ? $path : basename($path), $lines, true);
            $output->writeln(self::said($seal, $algorithm->label(), $path), OutputInterface::OUTPUT_RAW);
        }

        return $this->left($seal, $output);
    }

    /**
     * @param  array<array-key, array{string, string}>  $before  algorithm and sum, by path
     * @return list<string>
     */
    private static function differing(Seal $seal, array $before): array
    {
        $differ = [];
        foreach ($seal->files as $file) {
            $then = $before[$file->path] ?? null;
            if ($then !== null && ($file->sums[$then[0]] ?? '') !== $then[1]) {
                $differ[] = $file->path;
            }
        }

        return $differ;
    }

    /** @param  list<SumAlgorithm>  $algorithms */
    private function manifest(
        Listing $listing,
        string $files,
        array $algorithms,
        string $author,
        OutputInterface $output,
    ): int {
        $history = MhlHistory::of($listing);
        if ($history->faults !== []) {
            throw SealRefused::because('ascmhl', 'is not as it was written, and is left as it is. '
                .rtrim(implode(' ', $history->faults), '.'));
        }
        $before = Verification::algorithms($history->sums);
        $seal = self::sealed($listing, self::together($algorithms, $before));
        foreach ($seal->files as $file) {
            if (preg_match('~^[^\x00-\x1f]*$~u', $file->path) !== 1) {
                throw SealRefused::because(
                    $file->path,
                    'has a name that XML cannot hold; rename it, or write a list of lines',
                );
            }
        }
        $generation = new MhlGeneration(
            $seal,
            $history,
            basename((string) realpath($files)),
            new \DateTimeImmutable('now', new \DateTimeZone('UTC')),
            $author,
            (string) gethostname(),
        );
        $document = $generation->document();
        $writer = new SealWriter(rtrim((string) realpath($files), '/'));
        $writer->write('ascmhl/'.$generation->name(), [$document]);
        $writer->write('ascmhl/ascmhl_chain.xml', [$generation->chain($document)], true);
        $labels = implode(', ', array_map(static fn (SumAlgorithm $a): string => $a->label(), $seal->algorithms));
        $output->writeln(self::said($seal, $labels, 'ascmhl/'.$generation->name()), OutputInterface::OUTPUT_RAW);
        $failed = $generation->failed();

        return $failed === []
            ? $this->left($seal, $output)
            : $this->differs($failed, 'has other bytes than an earlier generation says', $output);
    }

    /** @param  list<SumAlgorithm>  $algorithms */
    private static function sealed(Listing $listing, array $algorithms): Seal
    {
        $run = new SealRun($listing, $algorithms);
        iterator_count($run->steps());

        return $run->result();
    }

    /**
     * @param  list<SumAlgorithm>  $asked
     * @param  list<SumAlgorithm>  $before
     * @return list<SumAlgorithm>
     */
    private static function together(array $asked, array $before): array
    {
        foreach ($before as $algorithm) {
            if (! in_array($algorithm, $asked, true)) {
                $asked[] = $algorithm;
            }
        }

        return $asked;
    }

    private static function said(Seal $seal, string $how, string $where): string
    {
        return 'Sealed '.Text::count(count($seal->files), 'file').', '.number_format($seal->bytes())
            .' bytes, by '.$how.': '.Text::shown($where);
    }

    /** What has no sum. */
    private function left(Seal $seal, OutputInterface $output): int
    {
        foreach ($seal->refused as $path => $why) {
            $output->writeln('Not sealed: '.Text::shown((string) $path).": {$why}", OutputInterface::OUTPUT_RAW);
        }

        return $seal->isWhole() ? 0 : 1;
    }

    /** @param  array<array-key, string>  $paths */
    private function differs(array $paths, string $why, OutputInterface $output): int
    {
        foreach ($paths as $path) {
            $output->writeln('Differs: '.Text::shown($path)." {$why}", OutputInterface::OUTPUT_RAW);
        }

        return 1;
    }

    /** @return list<SumAlgorithm> */
    private function algorithms(InputInterface $input, bool $isMhl): array
    {
        $asked = [];
        foreach (explode(',', $this->text($input, 'with') ?? ($isMhl ? 'xxh64' : 'sha256')) as $word) {
            $algorithm = SumAlgorithm::named(trim($word))
                ?? throw new InvalidOptionException(
                    '--with is '.implode(', ', array_column(SumAlgorithm::cases(), 'value')).', and “'
                    .Text::shown(trim($word)).'” is none of them.',
                );
            if ($isMhl && ! in_array($algorithm, MhlGeneration::ALGORITHMS, true)) {
                throw new InvalidOptionException(
                    "ASC MHL has no place for {$algorithm->label()}; it holds xxh64, xxh3, xxh128, md5 and sha1.",
                );
            }
            $asked[] = $algorithm;
        }

        return self::together([], $asked);
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
