<?php

declare(strict_types=1);

namespace PlainLedger\Core\Media\Readers\Mxf;

use PlainLedger\Core\Media\ByteOrder;
use PlainLedger\Core\Media\FileDamaged;
use PlainLedger\Core\Media\FileEnds;

/** The partitions of an MXF file (SMPTE ST 377-1): sets of metadata, index tables, pictures, and what is not there. */
final class MxfOutline
{
    /** Before the first partition there may be as much of something else. */
    private const RUN_IN = 65536;

    /** More pieces than these are not walked through in a quick look. */
    private const MOST_PIECES = 250_000;

    /** Of a file whose pieces have to be sent. */
    private const FEW_PIECES = 200;

    private const INSTANCE = 0x3C0A;

    private const FIRST_OF_SETS = "\x06\x0E\x2B\x34\x02\x05\x01\x01\x0D\x01\x02\x01\x01";

    private const INDEX_AT_END = "\x06\x0E\x2B\x34\x02\x05\x01\x01\x0D\x01\x02\x01\x01\x11";

    /** @var array<string, MxfSet> by the identity of each */
    public array $sets = [];

    /** @var list<MxfSet> */
    public array $indexes = [];

    public int $pictureBytes = 0;

    public int $pictures = 0;

    public ?int $firstPicture = null;

    public bool $isAll = true;

    public ?FileDamaged $damaged = null;

    private bool $hasFooter = false;

    private bool $isClosed = false;

    private function __construct(private readonly FileEnds $file) {}

    /** @throws FileDamaged where it has no header */
    public static function read(FileEnds $file): self
    {
        $outline = new self($file);
        $start = strpos($file->read(0, min(self::RUN_IN, $file->size())), self::FIRST_OF_SETS);
        if ($start === false) {
            throw FileDamaged::header('it has no header partition');
        }
        $outline->walk($start);
        $outline->end();

        return $outline;
    }

    private function walk(int $place): void
    {
        $most = $this->file->isFarAway() ? self::FEW_PIECES : self::MOST_PIECES;
        for ($i = 0; $i < $most; $i++) {
            $klv = Klv::at($this->file, $place);
            if ($klv === null) {
                $this->stop($place);

                return;
            }
            if ($klv->end > $this->file->size()) {
                $this->damaged = FileDamaged::cutShort(
                    "a piece of it reaches to byte {$klv->end} and the file ends after {$this->file->size()}",
                );
            }
            $this->take($klv);
            $place = $klv->end;
            if ($place >= $this->file->size()) {
                return;
            }
        }
        $this->isAll = false;
        $this->footer();
    }

    private function stop(int $place): void
    {
        $left = $this->file->size() - $place;
        if ($left > Klv::KEY && trim($this->file->read($place, min(4096, $left)), "\0") !== '') {
            $this->damaged ??= FileDamaged::header("what stands at byte {$place} is no piece of it");
        }
    }

    private function take(Klv $klv): void
    {
        $kind = $klv->set();
        if ($klv->partition() !== null) {
            $this->hasFooter = $this->hasFooter || $klv->partition() === 4;
            $this->isClosed = $this->isClosed || $klv->isClosed();
        } elseif ($kind !== null && count($this->sets) < 10_000) {
            $set = MxfSet::read($this->file, $klv, $kind);
            // what stands later is what was known later
            $this->sets[$set->bytes(self::INSTANCE)] = $set;
        } elseif ($klv->isIndex() && count($this->indexes) < 100_000) {
            $this->indexes[] = MxfSet::read($this->file, $klv, 0);
        } elseif ($klv->isPicture()) {
            $this->firstPicture ??= $klv->body;
            $this->pictureBytes += $klv->length();
            $this->pictures++;
        }
    }

    /** What is told behind the pictures of a file that is too long to be walked through. */
    private function footer(): void
    {
        $tail = $this->file->tail();
        $at = strrpos($tail, self::INDEX_AT_END);
        if ($at === false) {
            return;
        }
        // pairs of a stream and a place; the last is that of the footer
        $place = ByteOrder::Big->u64($tail, max(0, strlen($tail) - 4 - 8));
        for ($i = 0; $i < 10_000 && $place > 0; $i++) {
            $klv = Klv::at($this->file, $place);
            if ($klv === null || $klv->end > $this->file->size()) {
                return;
            }
            if (! $klv->isPicture()) {
                $this->take($klv);
            }
            $place = $klv->end;
        }
    }

    private function end(): void
    {
        if (! $this->hasFooter && ! $this->isClosed && $this->isAll) {
            $this->damaged ??= FileDamaged::cutShort('it has no footer: the writing of it never ended');
        }
    }

    /** @return list<MxfSet> of some kinds */
    public function ofKind(int ...$kinds): array
    {
        return array_values(array_filter($this->sets, static fn (MxfSet $s): bool => in_array($s->kind, $kinds, true)));
    }
}
