<?php

declare(strict_types=1);

namespace PlainLedger\Core\Course;

use PlainLedger\Core\Checksums\SumAlgorithm;
use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\Listing;
use PlainLedger\Core\Media\PixelSample;
use PlainLedger\Core\Media\PixelSampler;
use PlainLedger\Core\Media\Probe;
use PlainLedger\Core\Media\SampleOptions;
use PlainLedger\Core\Media\SourceUnreadable;
use PlainLedger\Core\Sealing\FileSums;
use PlainLedger\Core\Sealing\SealRun;

/**
 * What a delivery can be known by again: sums of files, prints of pictures, what files tell of where they were made,
 * and when they were written. Of a large one only files evenly picked from it are read.
 */
final readonly class DeliveryPrint
{
    /** Files whose bytes are read. */
    private const MOST_FILES = 200;

    /** In bytes, of all files that are read. */
    private const MOST_BYTES = 1_000_000_000;

    /** Pictures that are unpacked. */
    private const MOST_PICTURES = 8;

    /** What a header tells that is of a place or a person rather than of a picture. */
    private const TELLING = '~host|computer|user|author|artist|creator|owner|scene|project|document|source|serial~i';

    /**
     * @param  array<array-key, string>  $files  path by sum
     * @param  array<array-key, string>  $pictures  path by print of the pixels
     * @param  array<string, string>  $told  what headers say, by name
     * @param  array<array-key, int>  $times  seconds since 1970, by path
     */
    private function __construct(
        public array $files,
        public array $pictures,
        public array $told,
        public array $times,
    ) {}

    /** @param  (\Closure(): mixed)|null  $onFile  told after each file that was read */
    public static function of(Listing $listing, ?\Closure $onFile = null): self
    {
        $all = array_filter(
            SealRun::files($listing),
            static fn (ListedFile $f): bool => $f->refused === null && $f->size > 0,
        );
        $sums = new FileSums($listing);
        $files = [];
        $left = self::MOST_BYTES;
        foreach (self::picked($all, self::MOST_FILES) as $path => $file) {
            if ($file->size > $left) {
                continue;
            }
            try {
                $sealed = $sums->of($file, [SumAlgorithm::Xxh128]);
            } catch (SourceUnreadable) {
                continue;
            }
            $left -= $file->size;
            $files[$sealed->sums[SumAlgorithm::Xxh128->value]] ??= (string) $path;
            $onFile?->__invoke();
        }
        [$pictures, $told] = self::looked($listing, $all, $onFile);
        $times = array_map(static fn (ListedFile $file): int => $file->modified, self::picked($all, self::MOST_FILES));

        return new self($files, $pictures, $told, $times);
    }

    /** @return array{files: array<array-key, string>, pictures: array<array-key, string>, told: array<string, string>,
     *   times: array<array-key, int>} */
    public function toArray(): array
    {
        return [
            'files' => $this->files, 'pictures' => $this->pictures, 'told' => $this->told, 'times' => $this->times,
        ];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        $texts = static fn (mixed $told): array => array_filter(is_array($told) ? $told : [], is_string(...));
        /** @var array<string, string> $told */
        $told = $texts($data['told'] ?? null);

        return new self(
            $texts($data['files'] ?? null),
            $texts($data['pictures'] ?? null),
            $told,
            array_filter(is_array($data['times'] ?? null) ? $data['times'] : [], is_int(...)),
        );
    }

    /**
     * @param  array<array-key, ListedFile>  $files
     * @return array{array<array-key, string>, array<string, string>} prints of pixels, and what headers tell
     */
    private static function looked(Listing $listing, array $files, ?\Closure $onFile): array
    {
        $probe = Probe::standard();
        $sampler = PixelSampler::standard(new SampleOptions(true));
        $pictures = $told = [];
        foreach (self::picked($files, self::MOST_PICTURES) as $path => $file) {
            try {
                $source = $listing->open($file);
                $facts = $probe->read($source);
                $sample = $sampler->sample($source, $facts);
            } catch (SourceUnreadable) {
                continue;
            }
            if ($sample !== null && $sample->print !== '' && ! self::isFlat($sample)) {
                $pictures[bin2hex($sample->print)] ??= (string) $path;
            }
            foreach ($facts->labels->header as $name => $says) {
                if (preg_match(self::TELLING, $name) === 1 && trim($says) !== '') {
                    $told[$name] ??= mb_substr($says, 0, 200);
                }
            }
            $onFile?->__invoke();
        }

        return [$pictures, $told];
    }

    /**
     * @param  array<array-key, ListedFile>  $files
     * @return array<array-key, ListedFile> at most so many, evenly from all over, the first and the last among them
     */
    private static function picked(array $files, int $most): array
    {
        $count = count($files);
        if ($count <= $most) {
            return $files;
        }
        $keys = array_keys($files);
        $picked = [];
        for ($i = 0; $i < $most; $i++) {
            $key = $keys[intdiv($i * ($count - 1), $most - 1)];
            $picked[$key] = $files[$key];
        }

        return $picked;
    }

    /** Of one colour all over: black frames are everybody's. */
    private static function isFlat(PixelSample $sample): bool
    {
        return $sample->sample !== ''
            && $sample->sample === str_repeat(substr($sample->sample, 0, 3), PixelSample::SAMPLE_SIDE ** 2);
    }
}
