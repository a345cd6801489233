<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\ByteOrder;

/** A box of a movie's index, held whole so that it can be written otherwise (ISO/IEC 14496-12, 4.2). */
final class BoxNode
{
    /** Boxes that hold nothing but boxes. */
    private const HOLDERS = ['moov', 'trak', 'mdia', 'minf', 'stbl', 'tref'];

    private const MOST = 100_000;

    /** @param  list<self>|null  $children  null: it holds data */
    private function __construct(public readonly string $type, public string $data, public ?array $children) {}

    public static function of(string $type, string $data): self
    {
        return new self($type, $data, null);
    }

    public static function holding(string $type, self ...$children): self
    {
        return new self($type, '', array_values($children));
    }

    /**
     * @return list<self>
     *
     * @throws TagRefused
     */
    public static function all(string $bytes, int $deep = 0): array
    {
        $nodes = [];
        for ($at = 0, $end = strlen($bytes); $at + 8 <= $end; $at += $length) {
            $length = ByteOrder::Big->u32($bytes, $at);
            if ($length < 8 || $at + $length > $end || count($nodes) >= self::MOST) {
                throw TagRefused::because('', 'its index is not built as it should be');
            }
            $type = substr($bytes, $at + 4, 4);
            $data = substr($bytes, $at + 8, $length - 8);
            $nodes[] = in_array($type, self::HOLDERS, true) && $deep < 8
                ? new self($type, '', self::all($data, $deep + 1))
                : new self($type, $data, null);
        }

        return $nodes;
    }

    public function write(): string
    {
        $data = $this->children === null
            ? $this->data
            : implode('', array_map(static fn (self $child): string => $child->write(), $this->children));

        return pack('N', 8 + strlen($data)).$this->type.$data;
    }

    /** The first one within, by the types on the way to it. */
    public function find(string ...$way): ?self
    {
        $node = $this;
        foreach ($way as $type) {
            $node = $node->allOf($type)[0] ?? null;
            if ($node === null) {
                return null;
            }
        }

        return $node;
    }

    /** @return list<self> */
    public function allOf(string $type): array
    {
        return array_values(array_filter($this->children ?? [], static fn (self $each): bool => $each->type === $type));
    }

    /** In the place of the one of its type, or behind all. */
    public function put(self $child): void
    {
        $isThere = $this->find($child->type) !== null;
        $children = [];
        foreach ($this->children ?? [] as $each) {
            $isOther = $each->type !== $child->type;
            $children = [...$children, $isOther ? $each : $child];
        }
        $this->children = $isThere ? $children : [...$children, $child];
    }

    public function add(self $child): void
    {
        $this->children = [...$this->children ?? [], $child];
    }
}
