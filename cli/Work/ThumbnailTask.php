<?php

declare(strict_types=1);

namespace PlainLedger\Cli\Work;

use PlainLedger\Core\Delivery\ListedFile;
use PlainLedger\Core\Delivery\PlaceListing;
use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Decoders\Movies\MoviePictures;
use PlainLedger\Core\Media\Decoders\PictureDecoder;
use PlainLedger\Core\Media\Decoders\PixelsRefused;
use PlainLedger\Core\Media\Pixels;
use PlainLedger\Core\Media\Probe;

/** A small picture of one file. */
final readonly class ThumbnailTask
{
    /** @param  \Closure(array<string, mixed>): void  $say */
    public function __construct(private \Closure $say) {}

    /**
     * @param  string  $order  JSON: folder, name, size, modified, layer; the texts in base 64; longest, in pixels; of
     *   a movie which picture, counted from 0
     */
    public function run(string $order): void
    {
        /**
         * @var array{folder: string, below: string, name: string, size: int, modified: int, longest: int,
         *   layer: string, picture?: int} $given
         */
        $given = json_decode($order, true, 8, JSON_THROW_ON_ERROR);
        $raw = static fn (string $text): string => (string) base64_decode($text, true);
        $listed = new ListedFile($raw($given['below']), $raw($given['name']), $given['size'], $given['modified']);
        $source = PlaceListing::at($raw($given['folder']))->open($listed);
        $pixels = isset($given['picture'])
            ? self::ofMovie($source, $given['picture'])
            : PictureDecoder::standard()->decode($source, Probe::standard()->read($source), $raw($given['layer']));
        ($this->say)(['png' => base64_encode($pixels->thumbnail($given['longest']))]);
    }

    /** @param  int  $picture  counted from 0 */
    private static function ofMovie(ByteSource $source, int $picture): Pixels
    {
        $pictures = MoviePictures::of($source, Probe::standard()->read($source));
        foreach ($pictures?->images([$picture => true]) ?? [] as [$pixels]) {
            return $pixels;
        }
        throw PixelsRefused::because('there is no such picture, or it is not decoded here');
    }
}
