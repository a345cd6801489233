<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Calculator\RenderTimes;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\RenderLog\LogReader;
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
        $path = is_string($path) ? $path : '';
        $source = FileSource::open($path);
        $finished = $input->getOption('finished');
        $shapes = is_string($finished)
            ? [LogShape::of('given', [['event' => 'finished', 'pattern' => $finished]])]
            : LogShape::standard();
        $shape = count($shapes) === 1 ? $shapes[0] : LogReader::guess($source->read(0, 300_000), $shapes);
        if ($shape === null) {
            throw NotUnderstood::because(
                "{$path}: no line tells of a frame in a way that is known here. Say how one reads: --finished "
                    .'"frame {frame} done in {seconds} s".',
            );
        }
        $reader = new LogReader($shape);
        for ($at = 0; $at < $source->size(); $at += 1_048_576) {
            $reader->feed($source->read($at, 1_048_576));
        }
        $reading = $reader->close();
        $range = $input->getOption('range');
        $progress = is_string($range) ? RenderProgress::of($reading, FrameRange::parse($range)) : null;
        if ($input->getOption('json') === true) {
            $output->writeln(json_encode([
                'shape' => $shape->name,
                'lines' => $reading->lines,
                'finished' => (string) $reading->finished,
                'begun' => (string) $reading->begun,
                'last' => $reading->last,
                'files' => $reading->files,
                'median_ms' => $reading->median(),
                'slow' => (object) $reading->slow(),
                'warnings' => $reading->warningCount,
                'errors' => $reading->errorCount,
                'left' => $progress === null ? null : (string) $progress->left,
                'resume' => $progress?->resume,
                'seconds_left' => $progress?->secondsLeft,
            ], JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), OutputInterface::OUTPUT_RAW);
        } else {
            $output->writeln(self::sentences($reading, $progress), OutputInterface::OUTPUT_RAW);
        }

        return $progress === null ? 2 : ($progress->left->isEmpty() ? 0 : 1);
    }

    /** @return list<string> */
    private static function sentences(\PlainLedger\Core\RenderLog\LogReading $reading, ?RenderProgress $progress): array
    {
        $spoken = static fn (int $ms): string => RenderTimes::spoken(\Brick\Math\BigRational::nd($ms, 1000));
        $lines = [
            $progress === null
                ? 'Finished: '.($reading->finished->isEmpty() ? 'none' : $reading->finished).'.'
                : count($progress->done).' of '.Text::count(count($progress->expected), 'frame').' finished.',
        ];
        if ($reading->median() !== null) {
            $lines[] = "A frame takes {$spoken($reading->median())}; the middle one of ".count($reading->times()).'.';
        }
        if ($progress !== null && ! $progress->left->isEmpty()) {
            $lines[] = "Go on from frame {$progress->resume}: render {$progress->left}.";
            if ($progress->secondsLeft !== null) {
                [$least, $most] = $progress->secondsLeft;
                $lines[] = 'That takes '
                    .($least === $most ? '' : RenderTimes::spoken(\Brick\Math\BigRational::of($least)).' to ')
                    .RenderTimes::spoken(\Brick\Math\BigRational::of($most))
                    .', '
                    .Text::count($progress->machines, 'frame')
                    .' at a time.';
            }
        }
        foreach (array_slice($reading->slow(), 0, 5, true) as $frame => $ms) {
            $lines[] = "Frame {$frame} took {$spoken($ms)}.";
        }
        foreach (['error' => $reading->errors, 'warning' => $reading->warnings] as $event => $messages) {
            foreach (array_slice($messages, 0, 5, true) as $message => $times) {
                $lines[] = ucfirst($event).($times > 1 ? ", {$times} times" : '').": {$message}";
            }
        }

        return $lines;
    }
}
