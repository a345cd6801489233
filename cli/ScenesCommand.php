<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Checking\Verdict;
use PlainLedger\Core\Json\JsonRefused;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Report\BlockerSummary;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Scene\SceneArchive;
use PlainLedger\Core\Specification\CustomFacts;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Core\Tabular\Csv;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `scenes`: the settings of many scenes against one specification, in one go. */
#[AsCommand('scenes', 'Compares the settings of many scenes with one specification.')]
final class ScenesCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument(
            'path',
            InputArgument::IS_ARRAY | InputArgument::REQUIRED,
            'settings files, folders of them, sheets or zip archives',
        )
            ->addOption(
                'spec',
                null,
                InputOption::VALUE_REQUIRED,
                'required: the specification, a plain-ledger/specification document; - reads standard input',
            )
            ->addOption(
                'map',
                null,
                InputOption::VALUE_REQUIRED,
                'other names for settings, a plain-ledger/field-map document',
            )
            ->addOption(
                'format',
                null,
                InputOption::VALUE_REQUIRED,
                'text, csv, or json: one plain-ledger/check document a line',
                'text',
            )
            ->setHelp(<<<'HELP'
                Compares many settings with one specification, a line each.

                  bin/plain-ledger scenes --spec spec.json settings/ all.zip sheet.csv
                  bin/plain-ledger scenes --spec spec.json --format csv settings/ > board.csv

                Exit code: that of the worst of them; 3 where one could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $format = $input->getOption('format');
        $spec = $input->getOption('spec');
        if (! in_array($format, ['text', 'csv', 'json'], true)) {
            throw new InvalidOptionException('--format is text, csv or json.');
        }
        if (! is_string($spec)) {
            throw new InvalidOptionException('--spec FILE is needed: the specification to check against.');
        }
        $specification = Inputs::specification($spec);
        $map = FieldMap::ofOwnFacts(CustomFacts::labels($specification))->under(
            Inputs::map($input->getOption('map')) ?? FieldMap::none(),
        );
        $worst = 0;
        $rank = [0 => 0, 2 => 1, 1 => 2, 3 => 3];
        if ($format === 'csv') {
            $output->write(
                Csv::of([['scene', 'verdict', 'balance', 'of', 'first cause', 'says']]),
                false,
                OutputInterface::OUTPUT_RAW,
            );
        }
        foreach (self::accounts($input, $specification, $map) as $label => $account) {
            $code = $account instanceof JsonRefused ? Program::UNUSABLE : $account->check->verdict->exitCode();
            $worst = $rank[$code] > $rank[$worst] ? $code : $worst;
            if ($account instanceof JsonRefused) {
                fwrite(STDERR, Text::shown($account->getMessage())."\n");
            } else {
                $output->write(self::line($format, (string) $label, $account), false, OutputInterface::OUTPUT_RAW);
            }
        }

        return $worst;
    }

    private static function line(string $format, string $label, CheckReport $account): string
    {
        return match ($format) {
            'json' => json_encode(
                ['scene_file' => Text::shown($label)] + $account->toArray(),
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )."\n",
            'csv' => self::csv($label, $account),
            default => self::sentence($label, $account),
        };
    }

    private static function csv(string $label, CheckReport $account): string
    {
        [$good, $all] = $account->check->balance();
        $first = $account->causes[0] ?? null;
        $cells = [$label, $account->check->verdict->value, (string) $good, (string) $all];

        return Csv::of([[...$cells, $first?->finding->id->value ?? '', $first?->says() ?? '']]);
    }

    private static function sentence(string $label, CheckReport $account): string
    {
        [$good, $all] = $account->check->balance();
        $verdict = $account->check->verdict;
        $first = $account->causes[0] ?? null;

        return Text::shown($label)
            .": {$verdict->value}, {$good} of {$all} balance"
            .($verdict === Verdict::Balanced ? '' : ': '.BlockerSummary::inWords($account))
            .'.'
            .($first === null ? '' : " {$first->says()}")
            ."\n";
    }

    /** @return iterable<string, CheckReport|JsonRefused> one after the other, by what it came from */
    private static function accounts(InputInterface $input, Specification $specification, ?FieldMap $map): iterable
    {
        $reader = new DetectingReader;
        /** @var list<string> $paths */
        $paths = $input->getArgument('path');
        foreach (self::files($paths) as $path) {
            try {
                foreach (self::contents($path) as $name => $content) {
                    yield from self::accountsOf((string) $name, $content, $specification, $reader, $map);
                }
            } catch (JsonRefused $refused) {
                yield $path => $refused;
            }
        }
    }

    /**
     * @return iterable<array-key, string|JsonRefused|null> by name what a file holds; null where it is read by its path
     *
     * @throws JsonRefused
     */
    private static function contents(string $path): iterable
    {
        $head = is_file($path) ? (string) @file_get_contents($path, length: 64) : '';
        if (SceneArchive::looksLikeOne($head)) {
            return SceneArchive::files($path, $path);
        }

        return [$path => str_starts_with(ltrim($head), '#usda') ? null : TextFile::read($path, $path)];
    }

    /** @return iterable<string, CheckReport|JsonRefused> */
    private static function accountsOf(
        string $name,
        string|JsonRefused|null $content,
        Specification $specification,
        DetectingReader $reader,
        ?FieldMap $map,
    ): iterable {
        if ($content instanceof JsonRefused) {
            yield $name => $content;

            return;
        }
        try {
            if ($content === null) {
                yield $name => CheckReport::of($specification, $reader->open($name, $map), null);

                return;
            }
            foreach ($reader->scenes($content, $name, $map) as $scene) {
                yield $scene->label => CheckReport::of($specification, $scene->settings, null);
            }
        } catch (JsonRefused $refused) {
            yield $name => $refused;
        }
    }

    /**
     * @param  list<string>  $paths
     * @return iterable<string> files; those of folders by their names, no folders below them
     */
    private static function files(array $paths): iterable
    {
        foreach ($paths as $path) {
            if (! is_dir($path)) {
                yield $path;

                continue;
            }
            foreach (scandir($path) ?: [] as $name) {
                if ($name[0] !== '.' && is_file("{$path}/{$name}")) {
                    yield "{$path}/{$name}";
                }
            }
        }
    }
}
