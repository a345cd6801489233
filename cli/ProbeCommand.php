<?php

declare(strict_types=1);

namespace PlainLedger\Cli;

use PlainLedger\Core\Delivery\Archive\ZipDirectory;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Matching\Extension;
use PlainLedger\Core\Measure\ByteSize;
use PlainLedger\Core\Measure\Fraction;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Damage;
use PlainLedger\Core\Media\FileSource;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Text\Text;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** `probe`: what each file says of itself. */
#[AsCommand('probe', 'Says what each file tells of itself; folders are walked.')]
final class ProbeCommand extends Command
{
    private readonly Probe $probe;

    public function __construct()
    {
        parent::__construct();
        $this->probe = Probe::exact();
    }

    protected function configure(): void
    {
        $this->addArgument('paths', InputArgument::IS_ARRAY | InputArgument::REQUIRED, 'files and folders')
            ->addOption('json', null, InputOption::VALUE_NONE, 'one JSON object a line')
            ->addOption('full', null, InputOption::VALUE_NONE, 'read every byte')
            ->setHelp(<<<'HELP'
                Says what each file tells of itself; folders are walked.

                  bin/plain-ledger probe renders/TC_010/TC_010.1001.exr
                  bin/plain-ledger probe --json --full renders/ > facts.jsonl

                Exit code: 0, or 3 where a file that was named cannot be read.
                HELP);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $depth = $input->getOption('full') === true ? ScanDepth::Full : ScanDepth::Quick;
        $json = $input->getOption('json') === true;
        /** @var list<string> $paths */
        $paths = $input->getArgument('paths');
        foreach ($paths as $path) {
            if (! is_dir($path)) {
                // a path that was named and cannot be read is a fault of the call
                $source = FileSource::open($path);
                if (! ZipDirectory::isZip($source->read(0, 4))) {
                    $this->tell($output, $path, $source, $depth, $json);

                    continue;
                }
            }
            $listing = PlaceListing::of($path);
            $files = [];
            foreach ($listing->files() as $file) {
                $files[$file->path()] = $file;
            }
            ksort($files, SORT_STRING);
            foreach ($files as $name => $file) {
                $below = rtrim($path, '/').'/'.$name;
                try {
                    if ($file->refused !== null) {
                        throw SourceUnreadable::file($below, $file->refused);
                    }
                    $this->tell($output, $below, $listing->open($file), $depth, $json);
                } catch (SourceUnreadable $gone) {
                    $this->write(
                        $output,
                        $below,
                        MediaFacts::damaged(null, Damage::Unreadable, $gone->getMessage()),
                        $file->size,
                        $json,
                    );
                }
            }
        }

        return self::SUCCESS;
    }

    private function tell(OutputInterface $output, string $path, ByteSource $source, ScanDepth $depth, bool $json): void
    {
        $this->write($output, $path, $this->probe->read($source, $depth), $source->size(), $json);
    }

    private function write(OutputInterface $output, string $path, MediaFacts $facts, int $size, bool $json): void
    {
        $line = $json
            ? json_encode(
                $facts->toArray(Text::shown($path), Extension::agrees(basename($path), $facts->kind), $size),
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            )
            : Text::shown($path).': '.$this->spoken($facts, $path, $size);
        $output->writeln($line, OutputInterface::OUTPUT_RAW);
    }

    private function spoken(MediaFacts $facts, string $path, int $size): string
    {
        $says = Extension::agrees(basename($path), $facts->kind) === false ? 'the extension says otherwise' : null;
        $rate = $facts->timing->rate;
        $camera = $facts->labels->camera;

        return implode(', ', array_filter([
            $facts->kind?->spoken(),
            $says,
            ...self::spokenPicture($facts),
            $rate === null ? null : "{$rate->spoken()} a second",
            $camera === null ? null : "camera {$camera}",
            (string) ByteSize::of($size),
            self::spokenWholeness($facts),
        ]));
    }

    /** @return list<string|null> */
    private static function spokenPicture(MediaFacts $facts): array
    {
        $picture = $facts->picture;
        $aspect = $picture->pixelAspect;
        $bits = $facts->encoding->bitDepth;

        return [
            $picture->width === null ? null : "{$picture->width} × {$picture->height}",
            $aspect === null || $aspect->isEqualTo(1) ? null : 'pixels '.Fraction::writeFull($aspect),
            $bits === null ? null : "{$bits}-bit {$facts->encoding->sample}",
            $facts->encoding->channelsText(),
            $facts->encoding->compression,
        ];
    }

    private static function spokenWholeness(MediaFacts $facts): ?string
    {
        if ($facts->damage() !== null) {
            return "not whole: {$facts->wholeness->reason}";
        }

        return $facts->wholeness->complete === true ? 'whole' : null;
    }
}
