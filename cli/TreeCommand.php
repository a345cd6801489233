<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Delivery\Scan;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Tree\OwedDelivery;
use PlainLedger\Core\Tree\TreeCheck;
use PlainLedger\Core\Tree\Writers\TreeCsv;
use PlainLedger\Core\Tree\Writers\TreeJson;
use PlainLedger\Core\Tree\Writers\TreeJunit;
use PlainLedger\Core\Tree\Writers\TreeText;
use PlainLedger\Core\Tree\Writers\TreeWriter;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `tree`: one delivered tree beside many specifications. */
#[AsCommand('tree', 'Compares one delivered tree with many specifications, each with what answers it.')]
final class TreeCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption(
            'specs',
            null,
            InputOption::VALUE_REQUIRED,
            'required: a folder of specifications, or a list of them, a path a line or as JSON',
        )
            ->addOption('files', null, InputOption::VALUE_REQUIRED, 'required: the tree delivered, or a zip of it')
            ->addOption('full', null, InputOption::VALUE_NONE, 'read every byte, not only head and tail of each file')
            ->addOption('jobs', null, InputOption::VALUE_REQUIRED, ParallelScan::OPTION, '1')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text, json, junit or csv', 'text')
            ->setHelp(<<<'HELP'
                Scans a delivered tree once and finds the deliverable that each sequence, movie and file answers: by the
                code in its name, else in its folder, else by its name's pattern. One row a deliverable, trouble first;
                what fits two or none is told at the end.
                  bin/plain-ledger tree --specs specs/ --files delivery/
                  bin/plain-ledger tree --specs shots.txt --files delivery.zip --format csv
                Exit code: 0 all balanced, 1 one unbalanced, 2 one open, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $writer = $this->writer($input);
        $specs = $this->needed($input, 'specs', 'the specifications to check against');
        $files = $this->needed($input, 'files', 'the tree that was delivered');
        $jobs = ParallelScan::of($input->getOption('jobs'));
        $owed = SpecificationList::read($specs);
        $listing = PlaceListing::of($files);
        $depth = $input->getOption('full') === true ? ScanDepth::Full : ScanDepth::Quick;
        $folder = is_dir($specs) ? rtrim($specs, '/') : dirname($specs);
        $check = new TreeCheck(
            $owed,
            $listing,
            Probe::standard(),
            static fn (OwedDelivery $one): array => Inputs::approved($one->specification, "{$folder}/{$one->key}"),
        );
        $scan = new Scan($listing, Probe::standard(), $depth);
        $tree = $check->of($jobs->run($scan, $listing, time()));
        $output->write($writer->write($tree), false, OutputInterface::OUTPUT_RAW);

        return $tree->verdict()->exitCode();
    }

    private function writer(InputInterface $input): TreeWriter
    {
        return match ($input->getOption('format')) {
            'text' => new TreeText,
            'json' => new TreeJson,
            'junit' => new TreeJunit,
            'csv' => new TreeCsv,
            default => throw new InvalidOptionException('--format is text, json, junit or csv.'),
        };
    }

    private function needed(InputInterface $input, string $option, string $what): string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== ''
            ? $value
            : throw new InvalidOptionException("--{$option} is needed: {$what}.");
    }
}
