<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Json\JsonRefused;

/** A small file of text on this machine, as settings and specifications are. */
final readonly class TextFile
{
    /**
     * All of it, as far as it may be a document of settings.
     *
     * @param  string  $label  how the file is called in sentences
     * @param  int  $most  bytes
     *
     * @throws JsonRefused
     */
    public static function read(string $path, string $label, int $most = JsonDocument::LARGEST): string
    {
        try {
            $source = FileSource::open($path);
        } catch (SourceUnreadable $gone) {
            throw JsonRefused::because($label, $gone->reason().'.', $gone);
        }
        if ($source->size() > $most) {
            throw JsonRefused::tooLarge($label, $source->size(), $most);
        }

        return $source->read(0, $source->size());
    }
}
