<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Decoders;

use PlainLedger\Core\Media\ByteSource;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\Pixels;

/** Turns the bytes of a picture into pixels. */
interface Decoder
{
    public function decodes(Kind $kind): bool;

    /**
     * @param  MediaFacts  $facts  of these very bytes; its size is believed before anything is unpacked
     * @param  string  $layer  by name, of a format that has them; `""` for what stands in none
     *
     * @throws PixelsRefused
     * @throws \PlainLedger\Core\Media\FileTooLarge before any memory is taken for it
     */
    public function decode(ByteSource $source, MediaFacts $facts, string $layer = ''): Pixels;

    /**
     * Sixteen bytes that tell pictures apart where eight bits a channel do not; null where those do.
     *
     * @throws \PlainLedger\Core\Media\BytesMissing|\PlainLedger\Core\Media\SourceUnreadable
     */
    public function tellsApart(ByteSource $source, MediaFacts $facts): ?string;
}
