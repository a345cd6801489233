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
        [$good, $all] = $account->check->balance();
        $first = $account->causes[0] ?? null;

        return match ($format) {
            'json' => json_encode(
                ['scene_file' => Text::shown($label)] + $account->toArray(),
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )."\n",
            'csv' => Csv::of(
                [
                    [
                        $label, $account->check->verdict->value, (string) $good, (string) $all,
                        $first?->finding->id->value ?? '', $first?->says() ?? '',
                    ],
                ],
            ),
            default => Text::shown($label)
                .": {$account->check->verdict->value}, {$good} of {$all} balance"
                .($account->check->verdict === Verdict::Balanced ? '' : ': '.BlockerSummary::inWords($account))
                .'.'
                .($first === null ? '' : " {$first->says()}")
                ."\n",
        };
    }

    /** @return iterable<string, CheckReport|JsonRefused> one after the other, by what it came from */
    private static function accounts(InputInterface $input, Specification $specification, ?FieldMap $map): iterable
    {
        $reader = new DetectingReader;
        /** @var list<string> $paths */
        $paths = $input->getArgument('path');
        foreach (self::files($paths) as $path) {
            try {
                $head = is_file($path) ? (string) @file_get_contents($path, length: 64) : '';
                $contents = SceneArchive::looksLikeOne($head)
                    ? SceneArchive::files($path, $path)
                    : [$path => str_starts_with(ltrim($head), '#usda') ? null : TextFile::read($path, $path)];
                foreach ($contents as $name => $content) {
                    try {
                        if ($content instanceof JsonRefused) {
                            throw $content;
                        }
                        $told = $content === null
                            ? [[$name, $reader->open($path, $map)]]
                            : array_map(
                                static fn ($s): array => [$s->label, $s->settings],
                                $reader->scenes($content, (string) $name, $map),
                            );
                        foreach ($told as [$label, $settings]) {
                            yield (string) $label => CheckReport::of($specification, $settings, null);
                        }
                    } catch (JsonRefused $refused) {
                        yield (string) $name => $refused;
                    }
                }
            } catch (JsonRefused $refused) {
                yield $path => $refused;
            }
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
