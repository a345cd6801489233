<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use ReflectionClass;
use UnitEnum;

/** One type of a docblock as JSON Schema (2020-12) has it, for documents of OpenAPI 3.1. */
final readonly class JsonSchemaType
{
    private const PLAIN = [
        'int' => ['type' => 'integer'], 'float' => ['type' => 'number'], 'string' => ['type' => 'string'],
        'bool' => ['type' => 'boolean'], 'true' => ['const' => true], 'false' => ['const' => false],
        'null' => ['type' => 'null'], 'mixed' => [], 'object' => ['type' => 'object'],
    ];

    /**
     * @param  ReflectionClass<object>  $class  whose docblock it is
     * @param  list<class-string>  $models  classes that have a schema of their own
     * @param  array<string, TypeNode>  $aliases
     */
    public function __construct(private ReflectionClass $class, private array $models, private array $aliases) {}

    /** @return array<string, mixed> */
    public function schema(TypeNode $type): array
    {
        return match (true) {
            $type instanceof NullableTypeNode => ['anyOf' => [$this->schema($type->type), ['type' => 'null']]],
            $type instanceof UnionTypeNode => $this->union($type),
            $type instanceof ArrayShapeNode => $this->shape($type),
            $type instanceof GenericTypeNode => $this->generic($type),
            $type instanceof ConstTypeNode => ['const' => $this->literal($type)],
            $type instanceof IdentifierTypeNode => $this->named($type->name),
            default => [],
        };
    }

    /** @return array<string, mixed> */
    private function union(UnionTypeNode $type): array
    {
        $words = array_filter($type->types, static fn (TypeNode $one): bool => $one instanceof ConstTypeNode);

        return count($words) === count($type->types)
            ? ['enum' => array_map($this->literal(...), array_values($words))]
            : ['anyOf' => array_map($this->schema(...), $type->types)];
    }

    private function literal(ConstTypeNode $type): string|int|null
    {
        $value = $type->constExpr;

        return match (true) {
            $value instanceof ConstExprStringNode => $value->value,
            $value instanceof ConstExprIntegerNode => (int) $value->value,
            default => null,
        };
    }

    /** @return array<string, mixed> */
    private function shape(ArrayShapeNode $shape): array
    {
        if ($shape->items !== [] && $shape->items[0]->keyName === null) {
            return [
                'type' => 'array',
                'prefixItems' => array_map(fn ($item): array => $this->schema($item->valueType), $shape->items),
            ];
        }
        $properties = [];
        $required = [];
        foreach ($shape->items as $item) {
            $name = trim((string) $item->keyName, '\'"');
            $properties[$name] = (object) $this->schema($item->valueType);
            $item->optional || $required[] = $name;
        }

        return ['type' => 'object', 'properties' => (object) $properties, 'required' => $required];
    }

    /** @return array<string, mixed> */
    private function generic(GenericTypeNode $type): array
    {
        $types = $type->genericTypes;
        $last = (object) $this->schema($types[count($types) - 1]);
        $isList = in_array($type->type->name, ['list', 'non-empty-list'], true)
            || ($type->type->name === 'array' && count($types) === 1);

        $map = ['type' => 'object', 'additionalProperties' => $last];

        return match (true) {
            $isList => ['type' => 'array', 'items' => $last],
            $type->type->name === 'ByKey' => $map,
            // an empty one has no keys to be told from a list by
            default => ['anyOf' => [$map, ['type' => 'array', 'maxItems' => 0]]],
        };
    }

    /** @return array<string, mixed> */
    private function named(string $name): array
    {
        if (isset(self::PLAIN[$name])) {
            return self::PLAIN[$name];
        }
        if (isset($this->aliases[$name])) {
            return $this->schema($this->aliases[$name]);
        }
        $full = $this->full($name);

        return match (true) {
            in_array($full, $this->models, true) => ['$ref' => "#/components/schemas/{$this->short($full)}"],
            enum_exists($full) => ['enum' => array_map(
                static fn (UnitEnum $case): string|int => $case instanceof \BackedEnum ? $case->value : $case->name,
                $full::cases(),
            )],
            default => [],
        };
    }

    private function full(string $name): string
    {
        if (str_contains($name, '\\')) {
            return ltrim($name, '\\');
        }
        $source = (string) file_get_contents((string) $this->class->getFileName());
        $isUsed = preg_match("~^use ([\w\\\\]+\\\\{$name});$~m", $source, $found) === 1
            || preg_match("~^use ([\w\\\\]+) as {$name};$~m", $source, $found) === 1;

        return $isUsed ? $found[1] : "{$this->class->getNamespaceName()}\\{$name}";
    }

    private function short(string $full): string
    {
        return substr((string) strrchr("\\{$full}", '\\'), 1);
    }
}
