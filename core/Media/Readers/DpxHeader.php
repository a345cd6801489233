<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers;

use Brick\Math\BigRational;
use PlainLedger\Core\Measure\FrameRate;
use PlainLedger\Core\Measure\Resolution;
use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;
use PlainLedger\Core\Media\SmpteTimecode;
use PlainLedger\Core\Text\Text;

/** The headers of a DPX file (SMPTE ST 268-1, tables 1 to 6). A field of ones says nothing. */
final readonly class DpxHeader
{
    /** In bytes: the generic header, and all of them. */
    private const GENERIC = 1664;

    private const NOTHING = 0xFFFFFFFF;

    private const DEPTHS = [1, 8, 10, 12, 16, 32, 64];

    private const ELEMENTS = 780;

    private const ELEMENT = 72;

    private const TEXTS = [
        'creator' => [160, 100], 'project' => [260, 200], 'source' => [1432, 100], 'input device' => [1556, 32],
        'frame' => [1732, 32], 'slate' => [1764, 100],
    ];

    private function __construct(
        private string $bytes,
        public ByteOrder $order,
        public int $width,
        public int $height,
        private int $elements,
    ) {}

    /** @throws FileDamaged */
    public static function read(FileEnds $file): self
    {
        $bytes = substr($file->head, 0, 2048);
        if (strlen($bytes) < self::GENERIC) {
            throw FileDamaged::cutShort('the file ends inside its header, after '.$file->size().' bytes');
        }
        $order = str_starts_with($bytes, 'SDPX') ? ByteOrder::Big : ByteOrder::Little;
        $elements = $order->u16($bytes, 770);
        [$width, $height] = [$order->u32($bytes, 772), $order->u32($bytes, 776)];
        if ($elements < 1 || $elements > 8) {
            throw FileDamaged::header("the header names {$elements} elements of its picture");
        }
        foreach ([$width, $height] as $side) {
            if ($side < 1 || $side > Resolution::LARGEST) {
                throw FileDamaged::header("the header names an impossible size, a side of {$side} pixels");
            }
        }
        $header = new self($bytes, $order, $width, $height, $elements);
        $bits = $header->element(0)->bits;
        if (! in_array($bits, self::DEPTHS, true)) {
            throw FileDamaged::header("the header names {$bits} bits a channel, which DPX does not have");
        }

        // what lies beyond the place of its pixels is pixels, and no header that was left out
        $bytes = substr($bytes, 0, max(self::GENERIC, $header->pixelPlace()));

        return new self($bytes, $order, $width, $height, $elements);
    }

    public function element(int $number): DpxElement
    {
        $at = self::ELEMENTS + $number * self::ELEMENT;
        $place = $this->order->u32($this->bytes, $at + 28);

        return new DpxElement(
            ord($this->bytes[$at + 20]),
            ord($this->bytes[$at + 21]),
            ord($this->bytes[$at + 23]),
            $this->order->u16($this->bytes, $at + 24),
            $this->order->u16($this->bytes, $at + 26) === 1,
            in_array($place, [0, self::NOTHING], true) ? null : $place,
        );
    }

    /** Of all headers, in bytes. */
    public function length(): int
    {
        return strlen($this->bytes);
    }

    public function elements(): int
    {
        return $this->elements;
    }

    /** @return list<string> of all elements, colours first and alpha last */
    public function channels(): array
    {
        $names = [];
        for ($i = 0; $i < $this->elements; $i++) {
            $names = [...$names, ...$this->element($i)->channels()];
        }
        $names = array_values(array_unique($names));
        $isColour = array_diff(['R', 'G', 'B'], $names) === [];

        return $isColour
            ? [...array_intersect(['R', 'G', 'B'], $names), ...array_diff($names, ['R', 'G', 'B'])]
            : $names;
    }

    /** Where the pixels begin, in bytes. */
    public function pixelPlace(): int
    {
        $place = $this->order->u32($this->bytes, 4);

        return $this->element(0)->place ?? ($place === self::NOTHING ? 2048 : $place);
    }

    /** The file's length as it says itself; 0 where it does not. */
    public function toldSizeIn(string $head): int
    {
        $told = $this->order->u32($head, 16);

        return $told === self::NOTHING ? 0 : $told;
    }

    /** Where its picture ends at least; of one packed by run lengths that is not known. */
    public function end(): int
    {
        $end = 0;
        for ($i = 0; $i < $this->elements; $i++) {
            $element = $this->element($i);
            $from = $i === 0 ? $this->pixelPlace() : $element->place;
            $length = $element->isPacked ? 1 : $element->lineBytes($this->width) * $this->height;
            $end = $from === null ? $end : max($end, $from + $length);
        }

        return $end;
    }

    public function pixelAspect(): BigRational
    {
        [$across, $down] = [$this->order->u32($this->bytes, 1628), $this->order->u32($this->bytes, 1632)];
        $told = array_filter([$across, $down], static fn (int $side): bool => $side > 0 && $side < self::NOTHING);

        return count($told) === 2 ? BigRational::nd($across, $down)->simplified() : BigRational::one();
    }

    /** Of the film header, else of the television header. */
    public function rate(): ?FrameRate
    {
        foreach ([1724, 1940] as $at) {
            $rate = $at + 4 <= strlen($this->bytes) ? $this->order->f32($this->bytes, $at) : 0.0;
            // a field of zeros or ones, and what is no rate of frames
            if ($rate >= 1 && $rate <= 1000) {
                return FrameRate::fromFloat($rate);
            }
        }

        return null;
    }

    /** Null where it is not told; zeros without a rate are a field that nobody wrote. */
    public function timecode(): ?string
    {
        return $this->timecodeIn($this->bytes);
    }

    /** @param  string  $head  of a file of the same header but for its moment */
    public function timecodeIn(string $head): ?string
    {
        $word = strlen($this->bytes) >= 1924 ? $this->order->u32($head, 1920) : self::NOTHING;
        if ($word === self::NOTHING || ($word === 0 && $this->rate() === null)) {
            return null;
        }

        return SmpteTimecode::ofWord($word);
    }

    /** @return array<string, string> */
    public function texts(): array
    {
        $element = $this->element(0);
        $texts = ['byte order' => $this->order === ByteOrder::Big ? 'big' : 'little'];
        $texts += $element->transfer() === null ? [] : ['transfer' => $element->transfer()];
        if ($element->bits === 10 || $element->bits === 12) {
            $texts['packing'] = $element->packing === DpxElement::PACKED ? 'packed' : 'filled';
        }
        foreach (['frame position' => 1712, 'sequence length' => 1716] as $name => $at) {
            $number = $at + 4 <= strlen($this->bytes) ? $this->order->u32($this->bytes, $at) : self::NOTHING;
            $texts += $number === self::NOTHING || $number === 0 ? [] : [$name => (string) $number];
        }
        foreach (self::TEXTS as $name => [$at, $length]) {
            $text = trim(explode("\0", rtrim(substr($this->bytes, $at, $length), "\xFF"))[0]);
            $texts += $text === '' ? [] : [$name => Text::named($text)];
        }

        return $texts;
    }
}
