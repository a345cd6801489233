<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Report\CsvReport;
use PlainLedger\Core\Report\JsonReport;
use PlainLedger\Core\Report\JunitReport;
use PlainLedger\Core\Report\ReportWriter;
use PlainLedger\Core\Report\TextReport;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `check`: a specification beside scene settings, files or both. */
#[AsCommand('check', 'Compares a specification with scene settings, delivered files, or both.')]
final class CheckCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption(
            'spec',
            null,
            InputOption::VALUE_REQUIRED,
            'required: the specification, a plain-ledger/specification document; - reads standard input',
        )
            ->addOption(
                'scene',
                null,
                InputOption::VALUE_REQUIRED,
                'this or --files: scene settings as a plain-ledger/scene document, USD text, lines of key = value, '
                    .'or a sheet with one scene; - reads standard input',
            )
            ->addOption(
                'files',
                null,
                InputOption::VALUE_REQUIRED,
                'this or --scene: the folder, the zip or the file that was delivered',
            )
            ->addOption(
                'part',
                null,
                InputOption::VALUE_REQUIRED,
                'the part of the specification that the scene makes, where it does not say so itself',
            )
            ->addOption(
                'map',
                null,
                InputOption::VALUE_REQUIRED,
                'other names for settings, a plain-ledger/field-map document',
            )
            ->addOption('full', null, InputOption::VALUE_NONE, 'read every byte, not only head and tail of each file')
            ->addOption('jobs', null, InputOption::VALUE_REQUIRED, ParallelScan::OPTION, '1')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text, json, junit or csv', 'text')
            ->setHelp(<<<'HELP'
                Lays a specification beside what a scene is set to, what was delivered, or both, and says what differs,
                why, and what puts it right.

                  bin/plain-ledger check --spec spec.json --files renders/TC_010
                  bin/plain-ledger check --spec spec.json --scene scene.usda
                  bin/plain-ledger check --spec spec.json --scene preview.txt --part preview
                  bin/plain-ledger check --spec spec.json --scene scene.json --files renders/TC_010 --full --format json
                  export-settings | bin/plain-ledger check --spec spec.json --scene -

                Exit code: 0 balanced, 1 unbalanced, 2 open, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $writer = $this->writer($input);
        [$spec, $scenePath, $folder] = $this->sources($input);
        $jobs = ParallelScan::of($input->getOption('jobs'));
        $specification = Inputs::specification($spec);
        $scene = $scenePath === null
            ? null
            : Inputs::scene($scenePath, $specification, $this->text($input, 'map'), $this->text($input, 'part'));
        $depth = $input->getOption('full') === true ? ScanDepth::Full : ScanDepth::Quick;
        $delivery = $folder === null ? null : Inputs::delivery($specification, $spec, $folder, $depth, $jobs);
        $account = CheckReport::of($specification, $scene, $delivery);
        $output->write($writer->write($account), false, OutputInterface::OUTPUT_RAW);

        return $account->check->verdict->exitCode();
    }

    private function writer(InputInterface $input): ReportWriter
    {
        return match ($this->text($input, 'format')) {
            'text' => new TextReport,
            'json' => new JsonReport,
            'junit' => new JunitReport,
            'csv' => new CsvReport,
            default => throw new InvalidOptionException('--format is text, json, junit or csv.'),
        };
    }

    /** @return array{string, string|null, string|null} paths of the specification, the scene and the folder */
    private function sources(InputInterface $input): array
    {
        $spec = $this->text($input, 'spec')
            ?? throw new InvalidOptionException('--spec FILE is needed: the specification to check against.');
        $scene = $this->text($input, 'scene');
        $folder = $this->text($input, 'files');
        if ($scene === null && $folder === null) {
            throw new InvalidOptionException('There is nothing to check: give --scene FILE, --files DIR or both.');
        }
        if ($spec === '-' && $scene === '-') {
            throw new InvalidOptionException('Standard input holds one document: give --spec or --scene as a file.');
        }

        return [$spec, $scene, $folder];
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
