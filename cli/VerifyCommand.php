<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Sealing\SealedSums;
use PlainLedger\Core\Sealing\SealRefused;
use PlainLedger\Core\Sealing\Verification;
use PlainLedger\Core\Sealing\VerifyRun;
use PlainLedger\Core\Text\Text;
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
    /** Lines of a kind that are printed. */
    private const MOST = 50;

    protected function configure(): void
    {
        $this->addOption('files', null, InputOption::VALUE_REQUIRED, 'required: the delivery, a folder or a zip of it')
            ->addOption('list', null, InputOption::VALUE_REQUIRED, 'a list kept elsewhere; else those in the delivery')
            ->addOption('json', null, InputOption::VALUE_NONE, 'print what was found as JSON')
            ->setHelp(<<<'HELP'
                Reads all files and says which are as they were sealed, changed, missing, new, or renamed (the same
                bytes under another name), by the lists among them: of sha256sum and its kin, of xxhsum, ASC MHL with
                its chain.

                  bin/plain-ledger verify --files delivery/TC_010
                  bin/plain-ledger verify --files delivery.zip --list delivery.sha256 --json

                Exit code: 0 all as it was, 1 something is otherwise, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $files = $this->text($input, 'files')
            ?? throw new InvalidOptionException('--files is needed: the delivery to verify.');
        $listing = PlaceListing::of($files);
        $list = $this->text($input, 'list');
        $sealed = $list === null
            ? SealedSums::in($listing)
            : SealedSums::of(FileSource::open($list), basename($list));
        if ($sealed->sums === []) {
            throw $list === null
                ? SealRefused::because($files, 'has no list of checksums in it; give --list FILE')
                : SealRefused::because($list, 'holds no checksums');
        }
        $run = new VerifyRun($listing, $sealed->sums);
        iterator_count($run->steps());
        $found = $run->result();
        $output->write(
            $input->getOption('json') === true ? self::json($found, $sealed) : self::words($found, $sealed),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return $found->holds() && $sealed->faults === [] ? 0 : 1;
    }

    private static function json(Verification $found, SealedSums $sealed): string
    {
        $document = [
            'format' => 'plain-ledger/verification', 'version' => 1,
            'lists' => $sealed->lists,
            'faults' => $sealed->faults,
        ] + $found->toArray();
        $document['holds'] = $found->holds() && $sealed->faults === [];

        return json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE
                | JSON_THROW_ON_ERROR,
        )."\n";
    }

    private static function words(Verification $found, SealedSums $sealed): string
    {
        $same = Text::count($found->same, 'file is as it was', 'files are as they were');
        $lines = ["{$same} sealed.", ...$sealed->faults];
        $kinds = [
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
        foreach ($kinds as $kind => $all) {
            foreach (array_slice($all, 0, self::MOST) as $each) {
                $lines[] = "{$kind}: ".Text::shown($each);
            }
            if (count($all) > self::MOST) {
                $lines[] = "{$kind}: ".(count($all) - self::MOST).' more; --json names all.';
            }
        }

        return implode("\n", $lines)."\n";
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
