<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeItemNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use ReflectionClass;
use ReflectionEnum;
use ReflectionEnumBackedCase;

/** One type of a docblock, as TypeScript has it. Names are looked up as the class that uses them would. */
final class TypeScriptType
{
    private const PLAIN = [
        'int' => 'number', 'float' => 'number', 'string' => 'string', 'bool' => 'boolean', 'true' => 'true',
        'false' => 'false', 'null' => 'null', 'mixed' => 'unknown', 'object' => 'Record<string, unknown>',
    ];

    /** @var array<string, string> unions of the enums that were met, by name */
    private array $enums = [];

    /** @var array<string, string> full names by those that the file uses */
    private readonly array $uses;

    /**
     * @param  ReflectionClass<object>  $class
     * @param  list<class-string>  $models  classes that have an interface of their own
     * @param  array<string, string>  $known
     */
    public function __construct(
        private readonly ReflectionClass $class,
        private readonly array $models,
        private readonly array $known,
    ) {
        $source = (string) file_get_contents((string) $class->getFileName());
        preg_match_all('~^use ([\w\\\\]+\\\\(\w+))(?: as (\w+))?;$~m', $source, $found, PREG_SET_ORDER);
        $uses = [];
        foreach ($found as $use) {
            $uses[$use[3] ?? $use[2]] = $use[1];
        }
        $this->uses = $uses;
    }

    /** @return array<string, string> */
    public function enums(): array
    {
        return $this->enums;
    }

    public function write(TypeNode $type): string
    {
        return match (true) {
            $type instanceof NullableTypeNode => "{$this->write($type->type)} | null",
            $type instanceof UnionTypeNode => implode(' | ', array_map($this->write(...), $type->types)),
            $type instanceof ArrayShapeNode => $this->shape($type),
            $type instanceof GenericTypeNode => $this->generic($type),
            $type instanceof IdentifierTypeNode => $this->named($type->name),
            $type instanceof ConstTypeNode => $this->literal($type),
            default => throw new \LogicException("{$this->class->getName()}: {$type} has no counterpart."),
        };
    }

    private function literal(ConstTypeNode $type): string
    {
        $value = $type->constExpr;

        return match (true) {
            $value instanceof ConstExprStringNode => "'{$value->value}'",
            $value instanceof ConstExprIntegerNode => $value->value,
            default => throw new \LogicException("{$this->class->getName()}: {$type} has no counterpart."),
        };
    }

    private function shape(ArrayShapeNode $shape): string
    {
        $isTuple = $shape->items !== [] && $shape->items[0]->keyName === null;
        $items = array_map(
            fn (ArrayShapeItemNode $item): string => $isTuple ? $this->write($item->valueType) : $this->member($item),
            $shape->items,
        );

        return $isTuple ? '['.implode(', ', $items).']' : '{ '.implode('; ', $items).' }';
    }

    private function member(ArrayShapeItemNode $item): string
    {
        $name = trim((string) $item->keyName, '\'"');

        return $name.($item->optional ? '?' : '').": {$this->write($item->valueType)}";
    }

    private function generic(GenericTypeNode $type): string
    {
        $types = array_map($this->write(...), $type->genericTypes);
        $last = $types[count($types) - 1];
        $isList = in_array($type->type->name, ['list', 'non-empty-list'], true)
            || ($type->type->name === 'array' && (count($types) === 1 || $types[0] === 'number'));

        return match (true) {
            $isList => str_contains($last, ' | ') || str_starts_with($last, '{') ? "({$last})[]" : "{$last}[]",
            in_array($type->type->name, ['array', 'ByKey'], true) => "Record<string, {$last}>",
            default => throw new \LogicException("{$this->class->getName()}: {$type} has no counterpart."),
        };
    }

    private function named(string $name): string
    {
        $full = ltrim($name, '\\');
        $full = str_contains($name, '\\') ? $full : $this->uses[$name] ?? "{$this->class->getNamespaceName()}\\{$name}";
        $short = substr((string) strrchr("\\{$full}", '\\'), 1);

        return match (true) {
            isset(self::PLAIN[$name]) => self::PLAIN[$name],
            isset($this->known[$short]) => $this->known[$short],
            in_array($full, $this->models, true) => $short,
            enum_exists($full) => $this->enum(new ReflectionEnum($full)),
            // an alias, which stands in the same file
            preg_match('~^[A-Z]\w+$~', $name) === 1 && ! class_exists($full) => $name,
            default => throw new \LogicException("{$this->class->getName()}: {$name} has no counterpart."),
        };
    }

    /** @param  ReflectionEnum<\UnitEnum>  $enum */
    private function enum(ReflectionEnum $enum): string
    {
        $values = array_map(
            static fn ($case): string => $case instanceof ReflectionEnumBackedCase
                ? "'{$case->getBackingValue()}'"
                : throw new \LogicException("{$case->getName()} is backed by no value."),
            $enum->getCases(),
        );
        $this->enums[$enum->getShortName()] = implode(' | ', $values);

        return $enum->getShortName();
    }
}
