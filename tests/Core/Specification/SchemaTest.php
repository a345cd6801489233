<?php

declare(strict_types=1);

namespace Tests\Core\Specification;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use PlainLedger\Core\Checking\Checker;
use PlainLedger\Core\Checking\Rules\Rule;
use PlainLedger\Core\Checking\Rules\SettingRule;
use PlainLedger\Core\Report\CheckReport;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\SchemaWriter;
use PlainLedger\Demo\Scenario;
use Tests\Core\Support\Workbench;

/** What is generated from the descriptors is current, and what we write ourselves holds to it. */
final class SchemaTest extends TestCase
{
    private static function root(): string
    {
        return dirname(__DIR__, 3);
    }

    public function test_the_generated_files_are_current(): void
    {
        $writer = new SchemaWriter(Catalogue::standard());
        $read = static fn (string $path): string => (string) file_get_contents(self::root()."/{$path}");

        self::assertEquals(
            $writer->specification(),
            json_decode($read('docs/schema/specification.schema.json'), true),
            'run bin/generate',
        );
        self::assertEquals(
            $writer->scene(),
            json_decode($read('docs/schema/scene.schema.json'), true),
            'run bin/generate',
        );
        self::assertSame($writer->types(), $read('resources/js/types/requirements.ts'), 'run bin/generate');
    }

    public function test_the_demos_documents_hold_to_them(): void
    {
        $validate = static function (array $document, string $schema): void {
            $result = (new Validator)->validate(
                json_decode((string) json_encode($document)),
                (string) file_get_contents(self::root()."/docs/schema/{$schema}.schema.json"),
            );
            self::assertTrue($result->isValid(), (string) $result->error());
        };
        $count = 0;
        foreach (Scenario::productions() as $production) {
            foreach ($production['specifications'] as $data) {
                $validate(['format' => 'plain-ledger/specification', 'version' => 1] + $data, 'specification');
                $count++;
            }
            foreach ($production['deliverables'] as $owed) {
                $validate(Scenario::sceneDocument($owed['code'], $owed['render']), 'scene');
                $count++;
            }
        }
        self::assertGreaterThan(8, $count);
    }

    public function test_every_descriptor_can_say_its_sentence(): void
    {
        foreach (Catalogue::standard()->all() as $descriptor) {
            self::assertMatchesRegularExpression('~^[a-z_]+(\.[a-z_]+)?$~', $descriptor->id);
            self::assertStringContainsString('%s', $descriptor->wording->sentence, $descriptor->id);
            self::assertStringEndsWith('.', $descriptor->wording->sentence);
            self::assertNotSame('', $descriptor->label);
        }
        self::assertNotNull(Catalogue::standard()->find('other.fog_density'));
        self::assertNull(Catalogue::standard()->find('no.such'));
    }

    /** The rule for plain settings compares words of scenes, and must not be what something else falls to. */
    public function test_every_requirement_has_one_rule_of_its_own(): void
    {
        /** @var list<Rule> $rules */
        $rules = (new \ReflectionProperty(Checker::class, 'rules'))->getValue(Checker::standard());
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->readFrom === []) {
                continue;
            }
            $own = array_values(array_filter($rules, static fn (Rule $r): bool => $r->answers($descriptor->id)));
            self::assertNotSame([], $own, $descriptor->id);
            // the first that answers is asked
            self::assertTrue(
                ! $own[0] instanceof SettingRule || $descriptor->inSceneAlone(),
                "{$descriptor->id} has no rule of its own",
            );
        }
    }

    /** What must be and nobody can read never balances. */
    public function test_what_nothing_tells_never_balances(): void
    {
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->readFrom === [] || $descriptor->accepts->example === '') {
                continue;
            }
            $asked = Workbench::specification([$descriptor->id => $descriptor->accepts->example]);
            $verdict = CheckReport::of($asked, Workbench::scene([], []), null)->toArray()['verdict'];
            self::assertSame('open', $verdict, $descriptor->id);
        }
    }
}
