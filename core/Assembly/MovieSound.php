<?php

declare(strict_types=1);

namespace PlainLedger\Core\Assembly;

use PlainLedger\Core\Media\Kind;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\RequirementId;

/** The sound that a movie is to have. */
final readonly class MovieSound
{
    /** Bits a second of what is packed, where nothing is asked. */
    private const PACKED = 192_000;

    private function __construct(
        public int $sampleRate,
        public int $channels,
        public int $depth,
        public bool $isPacked,
    ) {}

    /** Null where none is asked. */
    public static function of(Part $part, Kind $kind): ?self
    {
        $presence = $part->single(RequirementId::AUDIO_PRESENCE);
        $asks = array_filter(
            [RequirementId::AUDIO_SAMPLE_RATE, RequirementId::AUDIO_CHANNELS, RequirementId::AUDIO_BIT_DEPTH],
            static fn (string $id): bool => $part->find($id) !== null,
        );
        if ($presence === 'none' || ($presence === null && $asks === [])) {
            return null;
        }
        $depth = $part->single(RequirementId::AUDIO_BIT_DEPTH);

        return new self(
            (int) ($part->single(RequirementId::AUDIO_SAMPLE_RATE) ?? 48_000),
            (int) ($part->single(RequirementId::AUDIO_CHANNELS) ?? 2),
            (int) ($depth ?? 16),
            $depth === null && in_array($kind, [Kind::Mp4, Kind::Mkv, Kind::Webm], true),
        );
    }

    /** Bits a second. */
    public function bitRate(): int
    {
        return $this->isPacked ? self::PACKED : $this->sampleRate * $this->channels * $this->depth;
    }

    public function inWords(): string
    {
        $channels = match ($this->channels) {
            1 => 'one channel',
            2 => 'two channels',
            default => "{$this->channels} channels",
        };

        return number_format($this->sampleRate)." Hz, {$channels}"
            .($this->isPacked ? ', '.intdiv(self::PACKED, 1000).' kbit/s' : ", {$this->depth} bits");
    }
}
