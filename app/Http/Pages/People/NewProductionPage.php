<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Actions\People\MakeProduction;
use App\Http\Pages\RendersPage;

/** What a production can be, and where its files will lie. */
final readonly class NewProductionPage
{
    use RendersPage;

    /** @var list<string> */
    public array $kinds;

    public string $intake;

    public function __construct()
    {
        $this->kinds = MakeProduction::KINDS;
        $this->intake = (string) config('ledger.intake');
    }
}
