<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use Brick\Math\BigRational;
use PlainLedger\Core\Calculator\RenderTimes;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\RenderLog\LogReader;
use PlainLedger\Core\RenderLog\LogReading;
use PlainLedger\Core\RenderLog\LogShape;
use PlainLedger\Core\RenderLog\RenderProgress;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `log`: how far a render is, by the log it writes. */
#[AsCommand('log', 'Reads a render log: how far it is, its pace, and from which frame to go on.')]
final class LogCommand extends Command
{
    /** Bytes that are read at a time. */
    private const PIECE = 1 << 20;

    /** Bytes by which a shape is guessed. */
    private const GUESSED_BY = 300_000;

    private const MOST_NAMED = 5;

    private const FLAGS = JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    protected function configure(): void
    {
        $this->addArgument('log', InputArgument::REQUIRED, 'the log, as text')
            ->addOption(
                'range',
                null,
                InputOption::VALUE_REQUIRED,
                'the frames that are to be rendered, such as 1001-1096',
            )
            ->addOption(
                'finished',
                null,
                InputOption::VALUE_REQUIRED,
                'how the line of a finished frame reads, such as “frame {frame} done in {seconds} s”',
            )
            ->addOption('json', null, InputOption::VALUE_NONE, 'as JSON')
            ->setHelp(<<<'HELP'
                Says from a render's log which frames are finished, which are left, and how long one takes.

                  bin/plain-ledger log night.log --range 1001-1096
                  bin/plain-ledger log farm.txt --range 1-240x2 --finished "frame {frame} done in {seconds} s" --json

                Exit code: 0 every frame is finished, 1 some are left, 2 no range was given, 3 the log could
                not be used.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $input->getArgument('log');
        $source = FileSource::open(is_string($path) ? $path : '');
        $shape = self::shape($source, $input);
        $reader = new LogReader($shape);
        for ($at = 0; $at < $source->size(); $at += self::PIECE) {
            $reader->feed($source->read($at, self::PIECE));
        }
        $reading = $reader->close();
        $range = $input->getOption('range');
        $progress = is_string($range) ? RenderProgress::of($reading, FrameRange::parse($range)) : null;
        $output->writeln(
            $input->getOption('json') === true
                ? json_encode(self::document($shape, $reading, $progress), self::FLAGS)
                : self::sentences($reading, $progress),
            OutputInterface::OUTPUT_RAW,
        );

        return match (true) {
            $progress === null => 2,
            $progress->left->isEmpty() => 0,
            default => 1,
        };
    }

    /** How the log says that a frame is finished: as given, else as its beginning shows. */
    private static function shape(FileSource $source, InputInterface $input): LogShape
    {
        $finished = $input->getOption('finished');
        if (is_string($finished)) {
            return LogShape::of('given', [['event' => 'finished', 'pattern' => $finished]]);
        }
        $path = $input->getArgument('log');

        return LogReader::guess($source->read(0, self::GUESSED_BY), LogShape::standard())
            ?? throw NotUnderstood::because(
                (is_string($path) ? $path : '').': no line tells of a frame in a way that is known here. Say how one '
                    .'reads: --finished "frame {frame} done in {seconds} s".',
            );
    }

    /** @return array<string, mixed> */
    private static function document(LogShape $shape, LogReading $reading, ?RenderProgress $progress): array
    {
        return [
            'shape' => $shape->name,
            'lines' => $reading->clock->lines,
            'finished' => (string) $reading->frames->finished,
            'begun' => (string) $reading->frames->begun,
            'last' => $reading->frames->last,
            'files' => $reading->files,
            'median_ms' => $reading->median(),
            'slow' => (object) $reading->slow(),
            'warnings' => $reading->warnings->count,
            'errors' => $reading->errors->count,
            'left' => $progress === null ? null : (string) $progress->left,
            'resume' => $progress?->resume,
            'seconds_left' => $progress?->secondsLeft,
        ];
    }

    /** @return list<string> */
    private static function sentences(LogReading $reading, ?RenderProgress $progress): array
    {
        $median = $reading->median();
        $lines = $progress === null
            ? ['Finished: '.($reading->frames->finished->isEmpty() ? 'none' : $reading->frames->finished).'.']
            : [count($progress->done).' of '.Text::count(count($progress->expected), 'frame').' finished.'];
        if ($median !== null) {
            $many = count($reading->times());
            $lines[] = 'A frame takes '.self::spoken(BigRational::nd($median, 1000))."; the middle one of {$many}.";
        }
        if ($progress !== null && ! $progress->left->isEmpty()) {
            $lines[] = "Go on from frame {$progress->resume}: render {$progress->left}.";
            $lines = [...$lines, ...self::timeLeft($progress)];
        }
        foreach (array_slice($reading->slow(), 0, self::MOST_NAMED, true) as $frame => $ms) {
            $lines[] = "Frame {$frame} took ".self::spoken(BigRational::nd($ms, 1000)).'.';
        }

        return [
            ...$lines,
            ...self::messages('error', $reading->errors->said),
            ...self::messages('warning', $reading->warnings->said),
        ];
    }

    private static function spoken(BigRational $seconds): string
    {
        return RenderTimes::spoken($seconds);
    }

    /** @return list<string> */
    private static function timeLeft(RenderProgress $progress): array
    {
        if ($progress->secondsLeft === null) {
            return [];
        }
        [$least, $most] = $progress->secondsLeft;
        $from = $least === $most ? '' : self::spoken(BigRational::of($least)).' to ';
        $to = self::spoken(BigRational::of($most));

        return ["That takes {$from}{$to}, ".Text::count($progress->machines, 'frame').' at a time.'];
    }

    /**
     * @param  array<array-key, int>  $messages  how often, by what they say
     * @return list<string>
     */
    private static function messages(string $event, array $messages): array
    {
        $lines = [];
        foreach (array_slice($messages, 0, self::MOST_NAMED, true) as $message => $times) {
            $lines[] = ucfirst($event).($times > 1 ? ", {$times} times" : '').": {$message}";
        }

        return $lines;
    }
}
