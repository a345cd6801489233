<?php

declare(strict_types=1);

namespace PlainLedger\Core\Messages;

use PlainLedger\Core\Text\Text;

/** What the owner of deliverables is told: what is wrong with each, why, and what to do, in plain words. */
final readonly class OwnerMessage
{
    private const MOST_NAMED = 12;

    private function __construct(public string $subject, public string $body) {}

    /**
     * @param  string  $owner  as they are spoken to
     * @param  non-empty-list<array{code: string, title: string, due: string|null,
     *   document: array<string, mixed>|null}> $owed  `plain-ledger/check` documents; null where nothing was checked yet
     * @param  string  $closing  who writes
     */
    public static function to(string $owner, string $production, array $owed, string $closing): self
    {
        $blocks = [];
        $open = 0;
        foreach ($owed as $each) {
            $verdict = $each['document']['verdict'] ?? null;
            $open += $verdict === 'balanced' ? 0 : 1;
            $head = $each['code']
                .($each['title'] === '' ? '' : ", {$each['title']}")
                .($each['due'] === null ? '' : ", due {$each['due']}");
            $blocks[] = Text::shown($head)
                ."\n"
                .(
                    $each['document'] === null
                        ? 'Nothing has been checked yet. Bring the scene’s settings before you render.'
                        : self::account($each['document'])
                );
        }
        $codes = array_map(static fn (array $e): string => $e['code'], $owed);
        $subject = Text::shown(
            "{$production}: "
                .(count($codes) > 3 ? Text::count(count($codes), 'deliverable') : implode(', ', $codes))
                .($open === 0 ? ', all balances' : ''),
        );

        return new self(
            $subject,
            Text::shown("Hello {$owner},")."\n\n".implode("\n\n", $blocks)."\n\n".Text::shown($closing)."\n",
        );
    }

    /** @param  array<string, mixed>  $document */
    private static function account(array $document): string
    {
        if ($document['verdict'] === 'balanced') {
            return 'Everything balances. Nothing is left to do.';
        }
        $untold = self::untold(is_array($document['entries'] ?? null) ? $document['entries'] : []);
        $lines = [
            ...array_map(static fn (string $says): string => "- {$says}", self::texts($document['causes'] ?? null)),
            ...self::steps(self::texts($document['fixes'] ?? null)),
            ...($untold === [] ? [] : [self::notTold($untold)]),
        ];

        return $lines === [] ? 'There was nothing to compare yet.' : implode("\n", $lines);
    }

    /**
     * @param  list<string>  $fixes
     * @return list<string>
     */
    private static function steps(array $fixes): array
    {
        $lines = $fixes === [] ? [] : ['To put it right, in this order:'];
        foreach ($fixes as $n => $says) {
            $lines[] = '  '.($n + 1).". {$says}";
        }

        return $lines;
    }

    /** @param  non-empty-list<string>  $untold */
    private static function notTold(array $untold): string
    {
        $more = count($untold) > self::MOST_NAMED ? ' and '.(count($untold) - self::MOST_NAMED).' more' : '';

        return 'Not told yet: '.Text::series(array_slice($untold, 0, self::MOST_NAMED))."{$more}.";
    }

    /**
     * @param  array<mixed>  $entries
     * @return list<string> labels of lines that must be known and are not
     */
    private static function untold(array $entries): array
    {
        $labels = [];
        foreach ($entries as $entry) {
            $open = is_array($entry) && ($entry['mark'] ?? null) === 'unknown' && ($entry['level'] ?? null) === 'must';
            if ($open) {
                $labels[] = is_string($entry['id'] ?? null) ? self::label($entry['id']) : '';
            }
        }

        return $labels;
    }

    private static function label(string $id): string
    {
        return lcfirst(\PlainLedger\Core\Specification\Catalogue::standard()->find($id)->label ?? $id);
    }

    /** @return list<string> what each says */
    private static function texts(mixed $list): array
    {
        $texts = [];
        foreach (is_array($list) ? $list : [] as $each) {
            if (is_array($each) && is_string($each['says'] ?? null) && count($texts) < 40) {
                $texts[] = Text::shown($each['says']);
            }
        }

        return $texts;
    }
}
