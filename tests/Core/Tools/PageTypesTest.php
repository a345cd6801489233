<?php

declare(strict_types=1);

namespace Tests\Core\Tools;

use PHPUnit\Framework\TestCase;
use PlainLedger\Tools\PageTypes;

final class PageTypesTest extends TestCase
{
    public function test_a_class_becomes_an_interface_with_what_it_names(): void
    {
        $written = (new PageTypes([]))->write([ShownExample::class], './requirements');
        self::assertSame(
            preg_replace('~\s+~', ' ', <<<'TS'
                export interface ShownExample {
                    /** what it is called */
                    code: string;
                    frames: number | null;
                    verdict: Verdict;
                    places: Place[];
                    sides: Record<string, [number, 'asked' | 'found']>;
                }
                TS),
            $this->block('interface ShownExample', $written),
        );
        self::assertSame(
            'export type Place = { root: number; below?: string | null };',
            $this->block('type Place', $written),
        );
        self::assertStringContainsString("'unbalanced'", $this->block('type Verdict', $written));
        self::assertStringNotContainsString('hidden', $written);
    }

    public function test_what_a_parent_has_stands_there_alone(): void
    {
        $written = (new PageTypes([]))->write([ShownMore::class, ShownExample::class], './requirements');
        self::assertSame(
            'export interface ShownMore extends ShownExample { more: number; }',
            $this->block('interface ShownMore', $written),
        );
    }

    public function test_what_has_no_counterpart_is_refused(): void
    {
        $this->expectException(\LogicException::class);
        $this->expectExceptionMessage('has no counterpart');
        $odd = new class
        {
            /** @var (callable(int): string)|null */
            public mixed $later = null;
        };
        (new PageTypes([]))->write([$odd::class], './requirements');
    }

    private function block(string $what, string $written): string
    {
        $end = str_starts_with($what, 'interface') ? '^\}' : ';';
        preg_match("~^export {$what}\\b.*?{$end}\$~ms", $written, $found);

        return (string) preg_replace('~\s+~', ' ', $found[0] ?? '');
    }
}
