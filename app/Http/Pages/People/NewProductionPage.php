<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Actions\People\MakeProduction;
use App\Http\Pages\RendersPage;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\Preset;

/** What a production can be, what it can begin with, and where its files will lie. */
final readonly class NewProductionPage
{
    use RendersPage;

    /** @var list<string> */
    public array $kinds;

    public string $intake;

    /** @var list<array{word: string, group: string, title: string, asks: list<string>}> with what each asks of all */
    public array $presets;

    /** @var list<string> */
    public array $zones;

    public function __construct()
    {
        $this->kinds = MakeProduction::KINDS;
        $this->intake = (string) config('ledger.intake');
        $this->zones = \DateTimeZone::listIdentifiers();
        $house = static fn (Preset $p): array => array_map(
            static fn (string $id, mixed $value): string => (Catalogue::standard()->find($id)->label ?? $id).' '
                .(is_scalar($value) ? $value : json_encode($value)),
            array_keys($p->forTheHouse()),
            array_values($p->forTheHouse()),
        );
        $this->presets = array_map(static fn (Preset $p): array => [
            'word' => $p->word, 'group' => $p->group, 'title' => $p->title, 'asks' => $house($p),
        ], Preset::shipped());
    }
}
