<?php

declare(strict_types=1);

namespace App\Http\Pages\People;

use App\Actions\People\MakeProduction;
use App\Http\Pages\Book\Book;
use App\Http\Pages\RendersPage;
use App\Intake\RootState;
use App\Models\IntakeRoot;
use App\Models\Production;
use App\Models\User;

/** What a production is called, and where its files lie. */
final readonly class SettingsPage
{
    use RendersPage;

    public Book $book;

    /** @var list<string> */
    public array $kinds;

    public string $intake;

    /** @var list<array{id: int, label: string, path: string, folder: string, fault: string|null}> */
    public array $roots;

    public function __construct(Production $production, User $reader)
    {
        $this->book = new Book($production, $reader);
        $this->kinds = MakeProduction::KINDS;
        $this->intake = (string) config('ledger.intake');
        $roots = $production->intakeRoots()->orderBy('id')->get();
        $this->roots = array_values($roots->map(static fn (IntakeRoot $r): array => [
            'id' => $r->id, 'label' => $r->label, 'path' => $r->path,
            'folder' => config('ledger.intake').'/'.$r->path, 'fault' => RootState::fault($r),
        ])->all());
    }
}
