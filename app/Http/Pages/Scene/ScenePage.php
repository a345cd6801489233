<?php

declare(strict_types=1);

namespace App\Http\Pages\Scene;

use App\Http\Pages\Book\Book;
use App\Http\Pages\Book\DeliverableHead;
use App\Http\Pages\Check\Ledger;
use App\Http\Pages\Check\PastCheck;
use App\Http\Pages\Check\Unfinished;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\Scene;
use App\Models\User;
use PlainLedger\Core\Scene\UnknownSetting;

/** The settings of a scene, against what is asked. */
final readonly class ScenePage
{
    use RendersPage;

    private const MOST_UNKNOWN = 200;

    public Book $book;

    public DeliverableHead $deliverable;

    /** @var array{specify: bool} */
    public array $may;

    public ?Ledger $ledger;

    /** @var list<PastCheck> */
    public array $past;

    /** @var list<array{name: string, value: string, field: string|null}> */
    public array $unknown;

    /** @var list<NamedField> */
    public array $fields;

    public ?Unfinished $broken;

    public function __construct(Deliverable $deliverable, User $reader)
    {
        $scene = $deliverable->scenes()->latest('id')->first();
        $this->book = new Book($deliverable->production, $reader);
        $this->deliverable = new DeliverableHead($deliverable);
        $this->may = ['specify' => $reader->can('specify', $deliverable)];
        $this->ledger = $deliverable->newest === null ? null : new Ledger($deliverable->newest);
        $this->past = PastCheck::all($deliverable);
        $this->unknown = $scene === null ? [] : self::unknown($scene);
        $this->fields = NamedField::all();
        $this->broken = Unfinished::of($deliverable);
    }

    /** @return list<array{name: string, value: string, field: string|null}> */
    private static function unknown(Scene $scene): array
    {
        return array_map(
            static fn (UnknownSetting $u): array => ['name' => $u->name, 'value' => $u->value, 'field' => $u->field],
            array_slice($scene->settings()->misread->unknown, 0, self::MOST_UNKNOWN),
        );
    }
}
