<?php

declare(strict_types=1);

namespace App\Http\Pages\Specification;

use App\Http\Pages\ByKey;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Descriptor;
use PlainLedger\Core\Specification\Part;
use PlainLedger\Core\Specification\SetBy;

/** What one layer asks and a higher one asks no more. */
final readonly class DroppedLine
{
    /** @var RequirementKey */
    public string $id;

    public string $label;

    public SetBy $by;

    public SetBy $from;

    public string $value;

    /** @var ByKey<string> */
    public ByKey $tokens;

    /** @param  non-empty-array<string, string>  $asked  by layer */
    private function __construct(Descriptor $descriptor, string $by, array $asked, AskedByLayer $layers, string $part)
    {
        $this->id = $descriptor->id;
        $this->label = $descriptor->label;
        $this->by = SetBy::from($by);
        $this->from = SetBy::from(array_key_last($asked));
        $this->value = $asked[array_key_last($asked)];
        $this->tokens = new ByKey($layers->tokens($descriptor, $part));
    }

    /** @return list<self> */
    public static function all(Part $part, AskedByLayer $layers): array
    {
        $dropped = [];
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($part->find($descriptor->id) !== null) {
                continue;
            }
            $said = $layers->said($descriptor, $part->name);
            $by = array_key_last($said);
            $asked = array_filter($said, is_string(...));
            if ($by !== null && $said[$by] === null && $asked !== []) {
                $dropped[] = new self($descriptor, $by, $asked, $layers, $part->name);
            }
        }

        return $dropped;
    }
}
