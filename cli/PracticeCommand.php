<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Diagnosis\CauseGuide;
use PlainLedger\Core\Media\TextFile;
use PlainLedger\Core\Practice\MarkedPoint;
use PlainLedger\Core\Practice\Marking;
use PlainLedger\Core\Practice\PracticeAnswer;
use PlainLedger\Core\Specification\Specification;
use PlainLedger\Demo\Practice\Blunder;
use PlainLedger\Demo\Practice\Brief;
use PlainLedger\Demo\Practice\Exercise;
use PlainLedger\Demo\Practice\PracticeMaker;
use PlainLedger\Demo\Practice\PracticeRefused;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `practice`: deliveries with known mistakes, and answers to them. */
#[AsCommand('practice', 'Makes deliveries with known mistakes to practise on, and marks what somebody says of them.')]
final class PracticeCommand extends Command
{
    private const ANSWER = [
        'format' => PracticeAnswer::FORMAT, 'version' => 1, 'balances' => false, 'lines' => [], 'causes' => [],
        'render' => '',
    ];

    protected function configure(): void
    {
        $this->addArgument('what', InputArgument::REQUIRED, 'list, make or mark')
            ->addOption('exercise', null, InputOption::VALUE_REQUIRED, 'make: its number; mark: its folder')
            ->addOption('mistakes', null, InputOption::VALUE_REQUIRED, 'make: causes instead of a number, by commas')
            ->addOption('brief', null, InputOption::VALUE_NONE, 'make: a job in words, to write a specification for')
            ->addOption('specification', null, InputOption::VALUE_REQUIRED, 'mark: what was written for a brief')
            ->addOption('difficulty', null, InputOption::VALUE_REQUIRED, 'make: so many mistakes, whichever')
            ->addOption('for', null, InputOption::VALUE_REQUIRED, 'make: whose it is; each gets another one', 'anybody')
            ->addOption('into', null, InputOption::VALUE_REQUIRED, 'make: a folder that is not there yet')
            ->addOption('answer', null, InputOption::VALUE_REQUIRED, 'mark: what somebody says; - reads it')
            ->addOption('json', null, InputOption::VALUE_NONE, 'mark: print points as JSON')
            ->setHelp(<<<'HELP'
                make writes specification.json, scene.json and files/ with mistakes in them, and answer.json to be
                filled in: whether it balances, which lines differ (ids of requirements), why (ids of causes), and
                which frames are to be rendered again. mark says what of an answer is right, and why the rest is not.

                  bin/plain-ledger practice list
                  bin/plain-ledger practice make --exercise 7 --for wren --into wren-7
                  bin/plain-ledger practice make --mistakes scale-below-full,cut-short --into mine
                  bin/plain-ledger practice make --difficulty 3 --for wren --into hard
                  bin/plain-ledger practice mark --exercise wren-7 --answer wren-7/answer.json
                  bin/plain-ledger practice make --brief --for wren --into job
                  bin/plain-ledger practice mark --exercise job --specification job/specification.json

                Exit code of mark: 0 all right, 1 not all, 3 the input could not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        return match ($input->getArgument('what')) {
            'list' => $this->list($output),
            'make' => $this->make($input, $output),
            'mark' => $this->mark($input, $output),
            default => throw new InvalidOptionException('Say list, make or mark.'),
        };
    }

    private function list(OutputInterface $output): int
    {
        foreach (Exercise::all() as $one) {
            $output->writeln(sprintf('%2d  %d  %s', $one->number, $one->difficulty(), $one->title));
        }
        $output->writeln('Mistakes: '.implode(', ', array_column(Blunder::cases(), 'value')));

        return 0;
    }

    private function make(InputInterface $input, OutputInterface $output): int
    {
        $into = $this->text($input, 'into')
            ?? throw new InvalidOptionException('--into is needed: a folder that is not there yet.');
        $word = (string) $this->text($input, 'for');
        $isBrief = $input->getOption('brief') === true;
        [$title, $blunders] = $isBrief ? ['', []] : $this->chosen($input, $word);
        if (file_exists($into) || ! @mkdir($into, 0o775, true)) {
            throw PracticeRefused::because($into, file_exists($into)
                ? 'is there already, and nothing is written over'
                : 'could not be made: permission is missing');
        }
        if ($isBrief) {
            return $this->describe($word, $into, $output);
        }
        (new PracticeMaker)->make($title, $blunders, "{$word}/{$title}", $into);
        $blank = json_encode(self::ANSWER, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        file_put_contents("{$into}/answer.json", "{$blank}\n");
        $output->writeln("“{$title}” lies in {$into}. Say in answer.json what is the matter with it, then:");
        $output->writeln("bin/plain-ledger practice mark --exercise {$into} --answer {$into}/answer.json");

        return 0;
    }

    private function describe(string $word, string $into, OutputInterface $output): int
    {
        $brief = Brief::of($word);
        $how = JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;
        $known = ['format' => Brief::FORMAT, 'version' => 1, 'word' => $word];
        file_put_contents("{$into}/brief.txt", wordwrap($brief->text(), 100)."\n");
        file_put_contents("{$into}/brief.json", json_encode($known, $how)."\n");
        // nothing is asked yet, and what is not asked is an object all the same
        $blank = json_encode(['require' => new \stdClass] + $brief->blank(), $how);
        file_put_contents("{$into}/specification.json", "{$blank}\n");
        $output->writeln("Write into {$into}/specification.json what {$into}/brief.txt describes, then:");
        $output->writeln(
            "bin/plain-ledger practice mark --exercise {$into} --specification {$into}/specification.json",
        );

        return 0;
    }

    private function markSpecification(string $folder, string $path): Marking
    {
        $brief = Inputs::document("{$folder}/brief.json", Brief::FORMAT)->data['word'] ?? null;
        if (! is_string($brief)) {
            throw PracticeRefused::because($folder, 'holds no brief');
        }
        $tried = sys_get_temp_dir().'/plain-ledger-brief-'.bin2hex(random_bytes(6));
        mkdir($tried);
        try {
            return Brief::of($brief)->mark(Inputs::document($path, Specification::FORMAT), $tried);
        } finally {
            rmdir($tried);
        }
    }

    /** @return array{string, list<Blunder>} a title and what goes wrong */
    private function chosen(InputInterface $input, string $word): array
    {
        $number = $this->text($input, 'exercise');
        $mistakes = $this->text($input, 'mistakes');
        $difficulty = $this->text($input, 'difficulty');
        if ($number !== null) {
            $exercise = ctype_digit($number) ? Exercise::find((int) $number) : null;
            $last = count(Exercise::all());
            $exercise ?? throw new InvalidOptionException("Exercises are numbered from 1 to {$last}.");

            return [$exercise->title, $exercise->blunders];
        }
        if ($mistakes !== null) {
            return ['Practice', array_map(self::blunder(...), explode(',', $mistakes))];
        }

        return ['Practice', Blunder::some($difficulty ?? '1', $word)];
    }

    private static function blunder(string $word): Blunder
    {
        return Blunder::tryFrom(trim($word)) ?? throw new InvalidOptionException(
            'Mistakes are '.implode(', ', array_column(Blunder::cases(), 'value')).'.',
        );
    }

    private function mark(InputInterface $input, OutputInterface $output): int
    {
        $folder = $this->text($input, 'exercise')
            ?? throw new InvalidOptionException('--exercise is needed: the folder it was made in.');
        $written = $this->text($input, 'specification');
        $marking = $written === null
            ? $this->markAnswer($folder, $input)
            : $this->markSpecification($folder, $written);
        $output->write(
            $input->getOption('json') === true ? self::json($marking) : self::words($marking),
            false,
            OutputInterface::OUTPUT_RAW,
        );

        return $marking->isPerfect() ? 0 : 1;
    }

    private function markAnswer(string $folder, InputInterface $input): Marking
    {
        $path = $this->text($input, 'answer')
            ?? throw new InvalidOptionException('--answer is needed: what somebody says of it.');
        if (! is_file("{$folder}/specification.json") || ! is_dir("{$folder}/files")) {
            throw PracticeRefused::because($folder, 'holds no exercise');
        }
        $text = $path === '-' ? (string) file_get_contents('php://stdin') : TextFile::read($path, $path);
        $guide = CauseGuide::read((string) file_get_contents(dirname(__DIR__).'/docs/causes.md'));

        return Marking::of(PracticeMaker::truth($folder), PracticeAnswer::read($text, $path), $guide);
    }

    private static function words(Marking $marking): string
    {
        $lines = array_map(
            static fn (MarkedPoint $p): string => sprintf('%-6s %+d  %s', $p->mark, $p->earned, $p->says),
            $marking->points,
        );

        return "{$marking->earned()} of {$marking->possible()} points\n".implode("\n", $lines)."\n";
    }

    private static function json(Marking $marking): string
    {
        return json_encode([
            'format' => 'plain-ledger/practice-marks', 'version' => 1, 'earned' => $marking->earned(),
            'possible' => $marking->possible(), 'points' => $marking->points,
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    private function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
