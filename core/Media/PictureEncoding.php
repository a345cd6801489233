<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media;

/** How a picture is stored: its samples, and what packs them. */
final readonly class PictureEncoding
{
    /**
     * @param  int|null  $bitDepth  bits a channel
     * @param  string|null  $sample  `uint` or `float`
     * @param  list<string>|null  $channels  by full name, in the order R G B A within a layer
     * @param  int|null  $quality  1 to 100, estimated
     */
    public function __construct(
        public ?int $bitDepth = null,
        public ?string $sample = null,
        public ?array $channels = null,
        public ?string $compression = null,
        public ?string $codec = null,
        public ?string $chroma = null,
        public ?int $quality = null,
    ) {}

    /** Whether there is transparency, in any layer; null where the channels are not known. */
    public function hasAlpha(): ?bool
    {
        if ($this->channels === null) {
            return null;
        }
        $isAlpha = static fn (string $channel): bool => Channels::split($channel)[1] === 'A';

        return array_filter($this->channels, $isAlpha) !== [];
    }

    /** `RGBA`, `Y`; a list of full names where they are longer. */
    public function channelsText(): ?string
    {
        return $this->channels === null ? null : Channels::write($this->channels);
    }
}
