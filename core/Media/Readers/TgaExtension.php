<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Text\Text;

/** The extension area of a TGA of version 2 (file format specification 2.0, fields 10 to 27). */
final readonly class TgaExtension
{
    /** In bytes. */
    public const LENGTH = 495;

    private const TEXTS = ['author' => [2, 41], 'job' => [377, 41], 'software' => [426, 41]];

    private const ASPECT = 474;

    private const ATTRIBUTES = 494;

    private const STRAIGHT = 3;

    private const PREMULTIPLIED = 4;

    private function __construct(private string $bytes) {}

    /** Null where there is none, or one that is not of the known form. */
    public static function read(string $bytes): ?self
    {
        $isWhole = strlen($bytes) === self::LENGTH && ByteOrder::Little->u16($bytes) >= self::LENGTH;

        return $isWhole ? new self($bytes) : null;
    }

    /** What of it facts are made of. */
    public function key(): string
    {
        return $this->bytes;
    }

    /** Whether the picture's alpha is one; null where the field has a value of no meaning. */
    public function hasAlpha(): ?bool
    {
        $kind = ord($this->bytes[self::ATTRIBUTES]);

        return $kind > self::PREMULTIPLIED ? null : $kind >= self::STRAIGHT;
    }

    public function alphaKind(): ?string
    {
        return match (ord($this->bytes[self::ATTRIBUTES])) {
            self::STRAIGHT => 'straight',
            self::PREMULTIPLIED => 'premultiplied',
            default => null,
        };
    }

    public static function aspectOf(?self $extension): BigRational
    {
        $across = $extension === null ? 0 : ByteOrder::Little->u16($extension->bytes, self::ASPECT);
        $down = $extension === null ? 0 : ByteOrder::Little->u16($extension->bytes, self::ASPECT + 2);

        return $across > 0 && $down > 0 ? BigRational::nd($across, $down)->simplified() : BigRational::one();
    }

    /** @return array<string, string> */
    public function texts(): array
    {
        $texts = [];
        foreach (self::TEXTS as $name => [$at, $length]) {
            $text = trim(explode("\0", substr($this->bytes, $at, $length))[0]);
            if ($text !== '') {
                $texts[$name] = Text::named($text);
            }
        }

        return $texts;
    }
}
