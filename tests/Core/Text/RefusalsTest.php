<?php

declare(strict_types=1);

namespace Tests\Core\Text;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Delivery\FolderListing;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\FrameRange;
use PlainLedger\Core\Naming\NamePattern;
use PlainLedger\Core\Text\PlainSentence;

/** What is refused is told in one sentence, and what it is made of can be had without taking the sentence apart. */
final class RefusalsTest extends TestCase
{
    /** @return iterable<string, array{callable(): mixed, string|null, string}> */
    public static function refused(): iterable
    {
        yield 'a range' => [static fn () => FrameRange::parse("10-\u{202E}x"), "10-\u{202E}x", 'write it like'];
        yield 'a pattern' => [static fn () => NamePattern::parse('{shot'), '{shot', 'brace'];
        yield 'a document' => [static fn () => JsonDocument::parse("{\n \"a\": ", 'a.json', 'x'), 'a.json', 'line 2'];
        yield 'a folder' => [static fn () => FolderListing::of('/no/such'), '/no/such', 'is not there'];
    }

    /** @param  callable(): mixed  $try */
    #[DataProvider('refused')]
    public function test_it_carries_its_parts(callable $try, ?string $place, string $reason): void
    {
        try {
            $try();
            self::fail('It was taken.');
        } catch (PlainSentence $refused) {
            self::assertSame($place, $refused->place());
            self::assertStringContainsString($reason, $refused->reason());
            self::assertStringContainsString(rtrim($refused->reason(), '.'), $refused->getMessage());
            self::assertStringNotContainsString("\u{202E}", $refused->getMessage());
            self::assertSame(1, substr_count($refused->getMessage()."\n", "\n"), 'one line');
        }
    }
}
