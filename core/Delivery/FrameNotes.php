<?php

declare(strict_types=1);

namespace PlainLedger\Core\Delivery;

use PlainLedger\Core\Media\PictureDistance;

/** What is known of few files of a group, by row. */
final class FrameNotes
{
    /** @var array<int, int> the frame number its header tells, where no number of the name is that */
    private array $otherFrames = [];

    /** @var array<int, string> the timecode its header tells */
    private array $timecodes = [];

    /**
     * @var array<int, array{int|null, int, string}|null> how far its picture is from the approved one; null where it
     *   could not be compared
     */
    private array $distances = [];

    /** @var array<int, string> why it may not be opened */
    private array $refused = [];

    public function setOtherFrame(int $row, int $frame): void
    {
        $this->otherFrames[$row] = $frame;
    }

    public function otherFrame(int $row): ?int
    {
        return $this->otherFrames[$row] ?? null;
    }

    public function setTimecode(int $row, string $timecode): void
    {
        $this->timecodes[$row] = $timecode;
    }

    public function timecode(int $row): ?string
    {
        return $this->timecodes[$row] ?? null;
    }

    public function setDistance(int $row, ?PictureDistance $distance): void
    {
        $this->distances[$row] = $distance?->toArray();
    }

    /** False where it was not compared with any. */
    public function distance(int $row): PictureDistance|false|null
    {
        if (! array_key_exists($row, $this->distances)) {
            return false;
        }

        return $this->distances[$row] === null ? null : new PictureDistance(...$this->distances[$row]);
    }

    public function refuse(int $row, string $why): void
    {
        $this->refused[$row] = $why;
    }

    public function refused(int $row): ?string
    {
        return $this->refused[$row] ?? null;
    }

    /** @param  list<int>  $rows  that are kept, in their new order */
    public function only(array $rows): self
    {
        $some = new self;
        foreach ($rows as $new => $row) {
            $some->otherFrames += isset($this->otherFrames[$row]) ? [$new => $this->otherFrames[$row]] : [];
            $some->timecodes += isset($this->timecodes[$row]) ? [$new => $this->timecodes[$row]] : [];
            $some->refused += isset($this->refused[$row]) ? [$new => $this->refused[$row]] : [];
            $some->distances += array_key_exists($row, $this->distances) ? [$new => $this->distances[$row]] : [];
        }

        return $some;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['refused' => $this->refused] + array_filter(
            ['other_frame' => $this->otherFrames, 'timecodes' => $this->timecodes, 'distances' => $this->distances],
            static fn (array $notes): bool => $notes !== [],
        );
    }

    /**
     * @param  array{refused: array<int, string>, other_frame?: array<int, int>, timecodes?: array<int, string>,
     *   distances?: array<int, array{int|null, int, string}|null>} $data
     */
    public static function fromArray(array $data): self
    {
        $notes = new self;
        $notes->refused = $data['refused'];
        $notes->otherFrames = $data['other_frame'] ?? [];
        $notes->timecodes = $data['timecodes'] ?? [];
        $notes->distances = $data['distances'] ?? [];

        return $notes;
    }
}
