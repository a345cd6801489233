<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Report\CheckComparison;
use PlainLedger\Core\Report\FrameComparison;
use PlainLedger\Core\Submission\Redelivery;
use PlainLedger\Core\Submission\SubmissionRecord;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `compare`: two checks of one deliverable. */
#[AsCommand('compare', 'Compares two checks of one deliverable: put right, new, come back, still.')]
final class CompareCommand extends Command
{
    private const WORDS = [
        'put_right' => 'Put right', 'accepted' => 'Accepted', 'new' => 'New', 'back' => 'Come back', 'still' => 'Still',
    ];

    protected function configure(): void
    {
        $this->addArgument('checks', InputArgument::IS_ARRAY | InputArgument::REQUIRED, 'the checks, the oldest first')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text')
            ->setHelp(<<<'HELP'
                Compares a check with the one before it, both written by “check --format json”. More may be given, the
                oldest first: what was right in between and is wrong again has come back.
                  bin/plain-ledger compare monday.json tuesday.json
                Records of submissions may be given too: of two of them it is told besides which files came again.
                Exit code: 0 nothing is new, come back or still wrong; 1 something is; 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        /** @var list<string> $paths */
        $paths = $input->getArgument('checks');
        if (count($paths) < 2) {
            throw new InvalidOptionException('Two checks are needed: the older one first.');
        }
        $documents = array_map(Inputs::checkOrRecord(...), $paths);
        $checks = array_map(self::checkIn(...), $documents);
        $now = array_pop($checks);
        $comparison = CheckComparison::of($now, array_reverse($checks));
        $frames = FrameComparison::of($now, $checks[count($checks) - 1]);
        $files = self::files($documents);
        $told = array_intersect_key($comparison->toArray(), self::WORDS);
        $text = match ($input->getOption('format')) {
            'json' => json_encode(
                ['format' => 'plain-ledger/comparison', 'version' => 1] + $told
                    + ['sequences' => $frames->toArray()] + ($files === null ? [] : ['files' => $files->toArray()]),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )."\n",
            'text' => self::text($told, [...$frames->sentences(), ...($files?->sentences() ?? [])]),
            default => throw new InvalidOptionException('--format is text or json.'),
        };
        $output->write($text, false, OutputInterface::OUTPUT_RAW);

        return $comparison->new === [] && $comparison->back === [] && $comparison->still === [] ? 0 : 1;
    }

    /** @return array<string, mixed> */
    private static function checkIn(JsonDocument|SubmissionRecord $document): array
    {
        $check = $document instanceof JsonDocument ? $document->data : $document->data['check'] ?? null;
        $named = [];
        foreach (is_array($check) ? $check : [] as $key => $value) {
            $named[(string) $key] = $value;
        }

        return $named;
    }

    /**
     * What of the files came again, where the last two are records: they hold the sums of all.
     *
     * @param  list<JsonDocument|SubmissionRecord>  $documents
     */
    private static function files(array $documents): ?Redelivery
    {
        [$before, $now] = array_slice($documents, -2);

        return $before instanceof SubmissionRecord && $now instanceof SubmissionRecord
            ? Redelivery::of($before, $now->seal(SumAlgorithm::cases()))
            : null;
    }

    /**
     * @param  array<string, mixed>  $told
     * @param  list<string>  $sentences
     */
    private static function text(array $told, array $sentences): string
    {
        $lines = [];
        foreach (self::WORDS as $key => $word) {
            foreach (is_array($told[$key] ?? null) ? $told[$key] : [] as $label) {
                $lines[] = "{$word}: ".(is_string($label) ? $label : '');
            }
        }
        array_push($lines, ...$sentences);

        return implode("\n", $lines === [] ? ['Nothing has changed.'] : $lines)."\n";
    }
}
