<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\FileLabels;
use PlainLedger\Core\Media\FileTooLarge;
use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Media\MediaFacts;
use PlainLedger\Core\Media\PictureEncoding;
use PlainLedger\Core\Media\PictureFacts;
use PlainLedger\Core\Media\ScanDepth;
use PlainLedger\Core\Media\TgaHeader;
use PlainLedger\Core\Media\Wholeness;

/**
 * TGA of both versions (file format specification 2.0): all types of picture, palettes, run lengths, and the extension
 * area that says of what kind its alpha is. A picture that is not packed has a length that its header tells; a packed
 * one without a footer is walked through, since nothing else marks its end.
 */
final readonly class TgaReader implements OutliningReader
{
    public function kind(): Kind
    {
        return Kind::Tga;
    }

    public function outline(FileEnds $file, MediaFacts $facts): ?HeaderOutline
    {
        // what stands in an extension area is of each file's own
        if (TgaHeader::extensionPlace($file->tail()) !== 0) {
            return null;
        }
        $header = TgaHeader::read($file->head);
        $due = $header->isPacked() ? PHP_INT_MAX : self::dueSize($header);

        return new FixedOutline(
            FixedBytes::of($file->head, TgaHeader::LENGTH, []),
            $facts,
            function (FileEnds $other) use ($due, $header): FileDamaged|false|null {
                $isNone = $other->size() < $header->leastSize() && ! TgaHeader::hasFooter($other->tail());
                if ($isNone || TgaHeader::extensionPlace($other->tail()) !== 0) {
                    return false;
                }

                return $due <= $other->size() ? null : $this->tailDamage($other);
            },
        );
    }

    private function tailDamage(FileEnds $file): ?FileDamaged
    {
        $header = TgaHeader::read($file->head);
        if (! $header->isPacked()) {
            return $this->shortBody($file, $header);
        }
        // whoever wrote the footer had written all before it
        $isMarked = TgaHeader::hasFooter($file->tail());

        return $isMarked ? null : $this->packets($file, $header)->damage(TgaPackets::QUICK);
    }

    public function read(FileEnds $file, ScanDepth $depth): MediaFacts
    {
        if (strlen($file->head) < TgaHeader::LENGTH) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$file->size().' bytes');
        }
        $header = TgaHeader::read($file->head);
        $facts = self::facts($header, $this->extension($file));
        try {
            $damaged = $depth === ScanDepth::Full && $header->isPacked()
                ? $this->packets($file, $header)->damage(PHP_INT_MAX)
                : $this->tailDamage($file);
        } catch (FileTooLarge $over) {
            return $facts->withUnread($over->getMessage());
        }

        return $damaged === null ? $facts : $facts->withDamage($damaged->damage, $damaged->reason);
    }

    private function packets(FileEnds $file, TgaHeader $header): TgaPackets
    {
        $end = $file->size() - (TgaHeader::hasFooter($file->tail()) ? TgaHeader::FOOTER : 0);
        $extension = TgaHeader::extensionPlace($file->tail());

        return new TgaPackets($file->source, $header, $extension > 0 ? min($end, $extension) : $end);
    }

    private function extension(FileEnds $file): ?TgaExtension
    {
        $place = TgaHeader::extensionPlace($file->tail());

        return $place === 0 ? null : TgaExtension::read($file->read($place, TgaExtension::LENGTH));
    }

    private function shortBody(FileEnds $file, TgaHeader $header): ?FileDamaged
    {
        $due = self::dueSize($header);

        return $due <= $file->size()
            ? null
            : FileDamaged::cutShort("the picture takes {$due} bytes and the file ends after {$file->size()}");
    }

    /** Of a picture that is not packed, in bytes. */
    private static function dueSize(TgaHeader $header): int
    {
        return $header->pixelPlace() + $header->width() * $header->height() * $header->pixelLength();
    }

    private static function facts(TgaHeader $header, ?TgaExtension $extension): MediaFacts
    {
        $alpha = self::hasAlpha($header, $extension);
        $colours = $header->isGrey() ? ['Y'] : ['R', 'G', 'B'];
        $labels = ($extension === null ? [] : $extension->texts())
            + ($header->isMapped() ? ['palette' => 'yes'] : [])
            + ['origin' => ($header->isFromTop() ? 'top ' : 'bottom ').($header->isFromRight() ? 'right' : 'left')];

        return new MediaFacts(
            Kind::Tga,
            new PictureFacts($header->width(), $header->height(), TgaExtension::aspectOf($extension)),
            new PictureEncoding(
                self::depth($header),
                'uint',
                [...$colours, ...($alpha ? ['A'] : [])],
                $header->isPacked() ? 'rle' : 'none',
            ),
            labels: new FileLabels(header: $labels, alphaKind: $alpha ? $extension?->alphaKind() : null),
            wholeness: Wholeness::whole(),
        );
    }

    /** The extension area decides where there is one; else the bits that the header keeps for it. */
    private static function hasAlpha(TgaHeader $header, ?TgaExtension $extension): bool
    {
        $room = match (true) {
            $header->isMapped() => $header->colourBits() === 32,
            $header->isGrey() => $header->bits() === 16 && $header->alphaBits() === 8,
            default => $header->bits() === 32 || ($header->bits() === 16 && $header->alphaBits() === 1),
        };
        $told = $extension?->hasAlpha();

        return $room && ($told ?? ($header->isMapped() || $header->alphaBits() > 0));
    }

    /** Of a palette that of its numbers, as they are stored. */
    private static function depth(TgaHeader $header): int
    {
        return match (true) {
            $header->isMapped() => $header->bits(),
            $header->isGrey() => $header->bits() === 16 && $header->alphaBits() !== 8 ? 16 : 8,
            $header->bits() <= 16 => 5,
            default => 8,
        };
    }
}
