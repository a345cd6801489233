<?php

declare(strict_types=1);

namespace Tests\Core\Report;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Diagnosis\CauseId;
use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\RenderLog\LogPattern;
use PlainLedger\Core\Scene\FieldMap;
use PlainLedger\Core\Scene\Readers\DetectingReader;
use PlainLedger\Core\Specification\Specification;

/** What the pages for people say is so. */
final class DocsTest extends TestCase
{
    private static function root(): string
    {
        return dirname(__DIR__, 3);
    }

    /** @return iterable<string, array{string}> */
    public static function documents(): iterable
    {
        foreach (glob(self::root().'/{docs/*.md,README.md}', GLOB_BRACE) ?: [] as $path) {
            preg_match_all('~^```json\n(.+?)^```~ms', (string) file_get_contents($path), $m);
            foreach ($m[1] as $n => $json) {
                yield basename($path).' '.($n + 1) => [$json];
            }
        }
    }

    #[DataProvider('documents')]
    public function test_each_document_that_is_shown_is_read_and_holds_to_its_schema(string $json): void
    {
        $data = json_decode($json);
        self::assertIsObject($data);
        $format = $data->format ?? '';
        self::assertMatchesRegularExpression('~^plain-ledger/[a-z-]+$~', $format);
        $schema = self::root().'/docs/schema/'.substr($format, 13).'.schema.json';
        self::assertFileExists($schema);
        $result = (new Validator)->validate($data, (string) file_get_contents($schema));
        self::assertTrue($result->isValid(), (string) $result->error());
        $strange = match ($format) {
            'plain-ledger/scene' => (new DetectingReader)->read($json, 'docs')->misread->sentences,
            'plain-ledger/specification' => Specification::fromDocument(
                JsonDocument::parse($json, 'docs', $format),
            )->notUnderstood,
            'plain-ledger/field-map' => FieldMap::fromDocument(
                JsonDocument::parse($json, 'docs', $format),
            )->meanings() === []
                ? ['nothing']
                : [],
            default => [],
        };
        self::assertSame([], $strange);
    }

    public function test_commands_that_are_shown_are_there_with_their_options(): void
    {
        $shown = 0;
        $help = [];
        foreach (glob(self::root().'/{docs/*.md,README.md}', GLOB_BRACE) ?: [] as $path) {
            preg_match_all(
                '~bin/plain-ledger ([a-z]+)([^`\n]*)~',
                (string) file_get_contents($path),
                $m,
                PREG_SET_ORDER,
            );
            foreach ($m as [, $command, $rest]) {
                $help[$command] ??= (string) shell_exec(
                    escapeshellarg(PHP_BINARY)
                        .' '
                        .escapeshellarg(self::root().'/bin/plain-ledger')
                        .' help '
                        .escapeshellarg($command)
                        .' 2>&1',
                );
                self::assertStringContainsString("{$command} [options]", $help[$command], basename($path));
                preg_match_all('~--[a-z]+~', $rest, $options);
                foreach ($options[0] as $option) {
                    self::assertStringContainsString($option, $help[$command], basename($path)." {$command}");
                    $shown++;
                }
            }
        }
        self::assertGreaterThan(15, $shown);
    }

    public function test_pages_that_are_linked_are_there(): void
    {
        $links = 0;
        foreach (glob(self::root().'/{docs/*.md,README.md}', GLOB_BRACE) ?: [] as $path) {
            preg_match_all('~\]\(([^)#:]+)\)~', (string) file_get_contents($path), $m);
            foreach ($m[1] as $link) {
                self::assertFileExists(dirname($path)."/{$link}", basename($path));
                $links++;
            }
        }
        self::assertGreaterThan(20, $links);
        // and every picture that is kept is shown
        $readme = (string) file_get_contents(self::root().'/README.md');
        $pictures = array_map(basename(...), glob(self::root().'/docs/screenshots/*.png') ?: []);
        self::assertLessThan(20, count($pictures));
        foreach ($pictures as $picture) {
            self::assertStringContainsString("docs/screenshots/{$picture}", $readme);
        }
    }

    public function test_pieces_of_log_patterns_that_are_named_are_known(): void
    {
        $formats = (string) file_get_contents(self::root().'/docs/formats.md');
        preg_match('~## Render logs(.+?)\n## ~s', $formats."\n## ", $m);
        preg_match_all('~`\{([a-z*]+)\}`~', $m[1] ?? '', $pieces);
        self::assertEqualsCanonicalizing(array_keys(LogPattern::PIECES), array_unique($pieces[1]));
    }

    public function test_every_cause_has_its_page_line(): void
    {
        $causes = (string) file_get_contents(self::root().'/docs/causes.md');
        foreach (array_column(CauseId::cases(), 'value') as $id) {
            self::assertStringContainsString("`{$id}`", $causes, $id);
        }
    }
}
