<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Remedy\Tagging\CopyWriter;
use PlainLedger\Core\Remedy\Tagging\TagPlan;
use PlainLedger\Core\Remedy\Tagging\TagRefused;
use PlainLedger\Core\Remedy\Tagging\Tags;
use PlainLedger\Core\Remedy\Tagging\TagWork;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Requirement;
use PlainLedger\Core\Specification\SetBy;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `retag`: copies with other tags, their pictures as they are. */
#[AsCommand('retag', 'Writes copies of files with other tags; their pictures stay as they are.')]
final class RetagCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('paths', InputArgument::IS_ARRAY, 'files, where no check says which')
            ->addOption('into', null, InputOption::VALUE_REQUIRED, 'required: the folder that copies are written to')
            ->addOption('check', null, InputOption::VALUE_REQUIRED, 'a check that says what to tag')
            ->addOption('files', null, InputOption::VALUE_REQUIRED, 'the folder that was checked')
            ->addOption(
                'set',
                null,
                InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY,
                'ID=VALUE: picture.pixel_aspect, picture.density, picture.projection, time.start_timecode, '
                    .'time.rate, colour.encoding or format.index',
            )
            ->setHelp(<<<'HELP'
                Writes into copies what a check says is only tagged otherwise, or what is told here, and reads them
                again. MP4 and MOV: pixel aspect, start timecode, colour, projection, index first, and the frame rate
                where nothing runs beside the pictures. PNG and JPEG: pixel aspect, density, projection. Nothing is
                encoded, and nothing is written over.

                  bin/plain-ledger retag --check check.json --files renders/ --into tagged/
                  bin/plain-ledger retag reel.mov --set time.start_timecode=01:00:00:00 --into tagged/
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $into = self::text($input, 'into') ?? throw new InvalidOptionException('--into DIR is needed: for the copies.');
        [$base, $work] = self::work($input);
        if ($work === []) {
            $output->writeln('There is nothing to tag.');

            return self::SUCCESS;
        }
        $writer = new CopyWriter(rtrim($into, '/'));
        $refused = 0;
        foreach ($work as $each) {
            try {
                $writer->write(FileSource::open($base.$each->path), self::below($base, $each->path), $each->tags);
                $output->writeln(Text::shown($each->path), OutputInterface::OUTPUT_RAW);
            } catch (TagRefused|SourceUnreadable $no) {
                $refused++;
                fwrite(STDERR, Text::shown($no->getMessage())."\n");
            }
        }

        return $refused === 0 ? self::SUCCESS : self::FAILURE;
    }

    /** @return array{string, list<TagWork>} what stands before each path, and the work */
    private static function work(InputInterface $input): array
    {
        $check = self::text($input, 'check');
        $files = self::text($input, 'files');
        /** @var list<string> $paths */
        $paths = $input->getArgument('paths');
        if ($check !== null) {
            $files ??= throw new InvalidOptionException('--files DIR is needed: the folder that was checked.');

            return [rtrim($files, '/').'/', TagPlan::of(Inputs::check($check)->data)];
        }
        if ($paths === []) {
            throw new InvalidOptionException('Which files? Give --check FILE and --files DIR, or paths and --set.');
        }
        $tags = self::tags($input);

        return ['', array_map(static fn (string $path): TagWork => new TagWork($path, $tags), $paths)];
    }

    private static function tags(InputInterface $input): Tags
    {
        $tags = new Tags;
        /** @var list<string> $set */
        $set = $input->getOption('set');
        foreach ($set as $one) {
            [$id, $value] = [...explode('=', $one, 2), ''];
            $descriptor = Catalogue::standard()->find($id)
                ?? throw new InvalidOptionException("--set {$one}: there is no requirement {$id}.");
            $asked = Requirement::read($descriptor, $value, SetBy::Specification, "--set {$id}");
            $tags = $tags->with($id, $asked->value->single() ?? $value);
        }

        return $tags->isNothing()
            ? throw new InvalidOptionException('--set ID=VALUE is needed: what to write.')
            : $tags;
    }

    private static function below(string $base, string $path): string
    {
        return $base === '' ? basename($path) : $path;
    }

    private static function text(InputInterface $input, string $option): ?string
    {
        $value = $input->getOption($option);

        return is_string($value) && $value !== '' ? $value : null;
    }
}
