<?php

declare(strict_types=1);

namespace App\Http\Pages\Check;

use App\Http\Pages\Book\IndexLine;
use App\Http\Pages\RendersPage;
use App\Models\Deliverable;
use App\Models\User;

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
        foreach (self::lines() as [$ids, $from, $by]) {
            foreach ($ids as $id) {
                $causes[] = [
                    'id' => $id, 'name' => str_replace('-', ' ', $id), 'from' => $from, 'by' => $by,
                    'found' => $found[$id] ?? [],
                ];
            }
        }
        $this->causes = $causes;
    }

    /** @return list<array{list<string>, string, string}> names, what they are concluded from, what puts them right */
    private static function lines(): array
    {
        $lines = [];
        foreach (file(base_path('docs/causes.md'), FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (preg_match('~^\| (`.+?`) \| (.+?) \| (.+?) \|$~u', $line, $parts) === 1) {
                preg_match_all('~`([a-z-]+)`~', $parts[1], $ids);
                $plain = static fn (string $text): string => (string) preg_replace('~[`*]~', '', $text);
                $lines[] = [$ids[1], $plain($parts[2]), $plain($parts[3])];
            }
        }

        return $lines;
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
                    'folio' => IndexLine::folio($deliverable->newest),
                ];
            }
        }

        return $found;
    }
}
