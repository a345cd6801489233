<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Pages\Book\IndexLine;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;
use PlainLedger\Core\Diagnosis\CauseGuide;

/** What can have gone wrong, what each is concluded from, and where it is found just now. */
final readonly class CausesPage
{
    use RendersPage;

    /**
     * @var list<array{id: string, name: string, from: string, by: string,
     *   found: list<array{id: int, code: string, folio: string}>}>
     */
    public array $causes;

    public function __construct(User $reader)
    {
        $found = self::found($reader);
        $causes = [];
        $guide = CauseGuide::read((string) file_get_contents(base_path('docs/causes.md')));
        foreach ($guide->lines as $id => [$from, $by]) {
            $causes[] = [
                'id' => $id, 'name' => str_replace('-', ' ', $id), 'from' => $from, 'by' => $by,
                'found' => $found[$id] ?? [],
            ];
        }
        $this->causes = $causes;
    }

    /** @return array<string, list<array{id: int, code: string, folio: string}>> by cause */
    private static function found(User $reader): array
    {
        $found = [];
        $all = Deliverable::query()->whereNull('put_away_at')->openTo($reader)->forBoard()->orderBy('code')->get();
        foreach ($all as $deliverable) {
            $causes = array_column($deliverable->newest->summary['causes'] ?? [], 'id');
            foreach (array_unique($causes) as $cause) {
                $found[$cause][] = [
                    'id' => $deliverable->id, 'code' => $deliverable->code,
                    'folio' => IndexLine::of($deliverable)->folio,
                ];
            }
        }

        return $found;
    }
}
