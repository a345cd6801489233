<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Report\Sheet\RequirementsCsv;
use PlainLedger\Core\Report\Sheet\SheetHtml;
use PlainLedger\Core\Report\Sheet\SheetMarkdown;
use PlainLedger\Core\Report\Sheet\SheetText;
use PlainLedger\Core\Report\Sheet\SheetUsda;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Specification\SpecificationDocument;
use PlainLedger\Printing\SheetPdf;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `sheet`: what is asked, for people and for programs. */
#[AsCommand('sheet', 'Writes a specification as a plain-language sheet, or as a file that other programs load.')]
final class SheetCommand extends Command
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
                'format',
                null,
                InputOption::VALUE_REQUIRED,
                'text, markdown, html, pdf, usda, csv or json',
                'text',
            )
            ->setHelp(<<<'HELP'
                Writes a specification for the person who renders, or for the program that does.

                  bin/plain-ledger sheet --spec spec.json
                  bin/plain-ledger sheet --spec spec.json --format pdf > sheet.pdf
                  cat spec.json | bin/plain-ledger sheet --spec - --format usda
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $input->getOption('spec');
        if (! is_string($path) || $path === '') {
            throw new InvalidOptionException('--spec FILE is needed: the specification to write.');
        }
        $format = $input->getOption('format');
        $write = match ($format) {
            'text' => (new SheetText)->write(...),
            'markdown', 'md' => (new SheetMarkdown)->write(...),
            'html' => (new SheetHtml)->write(...),
            'pdf' => self::pdf(...),
            'usda' => (new SheetUsda)->write(...),
            'csv' => (new RequirementsCsv)->write(...),
            'json' => static fn (Specification $s): string => json_encode(
                SpecificationDocument::of($s),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )."\n",
            default => throw new InvalidOptionException('--format is text, markdown, html, pdf, usda, csv or json.'),
        };
        $output->write($write(Inputs::specification($path)), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    private static function pdf(Specification $specification): string
    {
        $cache = sys_get_temp_dir().'/plain-ledger-fonts';
        is_dir($cache) || mkdir($cache, 0o700, true);

        return (new SheetPdf($cache))->write(
            static fn (int $size): string => (new SheetHtml('', [], $size))->write($specification),
        );
    }
}
