<?php

declare(strict_types=1);

namespace App\Http\Pages\Production;

use App\Actions\Changes\ChangedLayer;
use PlainLedger\Core\Specification\Catalogue;

/** What a house offers to begin with. */
final readonly class StartingLine
{
    public string $id;

    public string $label;

    /** @var list<string> */
    public array $values;

    public string $token;

    /** @param  list<string>  $values */
    private function __construct(string $id, array $values, ChangedLayer $house)
    {
        $this->id = $id;
        $this->label = Catalogue::standard()->find($id)->label ?? $id;
        $this->values = $values;
        $this->token = $house->token('', "starting_values.{$id}");
    }

    /**
     * @param  array<string, list<string>>  $values  by requirement
     * @return list<self>
     */
    public static function all(array $values, ChangedLayer $house): array
    {
        return array_map(
            static fn (string $id, array $values): self => new self($id, $values, $house),
            array_keys($values),
            array_values($values),
        );
    }
}
