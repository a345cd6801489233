<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use PHPStan\PhpDocParser\Ast\PhpDoc\TypeAliasTagValueNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\VarTagValueNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionMethod;
use ReflectionNamedType;
use ReflectionProperty;

/**
 * What pages are given, as TypeScript: one interface for each view model, from its public properties, their types and
 * docblocks; one type for each alias that a view model's docblock defines.
 */
final class PageTypes
{
    private readonly Lexer $lexer;

    private readonly PhpDocParser $docs;

    private readonly TypeParser $types;

    /** @param  array<string, string>  $known  what stands in another file, TypeScript's names by PHP's */
    public function __construct(private readonly array $known)
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->types = new TypeParser($config, $constants);
        $this->docs = new PhpDocParser($config, $this->types, $constants);
    }

    /**
     * @param  list<class-string>  $classes
     * @param  string  $from  the module of what is known
     */
    public function write(array $classes, string $from): string
    {
        sort($classes);
        $blocks = [];
        $enums = [];
        foreach ($classes as $class) {
            $reflection = new ReflectionClass($class);
            $writer = new TypeScriptType($reflection, $classes, $this->known);
            foreach ($this->aliases($reflection) as $name => $type) {
                $blocks[$name] = "export type {$name} = {$writer->write($type)};";
            }
            $blocks[$reflection->getShortName()] = $this->interface($reflection, $writer, $classes);
            $enums += $writer->enums();
        }
        foreach ($enums as $name => $enum) {
            $blocks[$name] = "export type {$name} = {$enum};";
        }
        ksort($blocks);
        $body = implode("\n\n", $blocks);
        $used = array_values(array_filter(
            array_unique($this->known),
            static fn (string $name): bool => preg_match("~\\b{$name}\\b~", $body) === 1,
        ));
        $imports = $used === [] ? '' : 'import type { '.implode(', ', $used)." } from '{$from}';\n\n";

        return "/* Written by bin/generate from the view models; changes here are lost. */\n\n{$imports}{$body}\n";
    }

    /**
     * The same as JSON Schema, by short names.
     *
     * @param  list<class-string>  $classes
     * @return array<string, array<string, mixed>>
     */
    public function schemas(array $classes): array
    {
        sort($classes);
        $aliases = [];
        foreach ($classes as $class) {
            $aliases += $this->aliases(new ReflectionClass($class));
        }
        $schemas = [];
        foreach ($classes as $class) {
            $reflection = new ReflectionClass($class);
            $writer = new JsonSchemaType($reflection, $classes, $aliases);
            $properties = [];
            foreach ($reflection->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
                $says = $this->says($property);
                $properties[$property->getName()] = (object) ($writer->schema($this->typeOf($property))
                    + ($says === '' ? [] : ['description' => $says]));
            }
            $schemas[$reflection->getShortName()] = [
                'type' => 'object', 'properties' => $properties, 'required' => array_keys($properties),
            ];
        }

        return $schemas;
    }

    /**
     * What a method says that it answers, by a tag of its own, as JSON Schema; null where it says nothing.
     *
     * @param  list<class-string>  $classes  view models
     * @return array<string, mixed>|null
     */
    public function answer(ReflectionMethod $method, array $classes): ?array
    {
        if (preg_match('~^\s*(?:/\*)?\* @answers (.+?)(?: \*/)?$~m', (string) $method->getDocComment(), $found) !== 1) {
            return null;
        }
        $type = $this->types->parse(new TokenIterator($this->lexer->tokenize($found[1])));

        return (new JsonSchemaType($method->getDeclaringClass(), $classes, []))->schema($type);
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, TypeNode>
     */
    private function aliases(ReflectionClass $class): array
    {
        $aliases = [];
        foreach ($this->tags($class->getDocComment()) as $value) {
            if ($value instanceof TypeAliasTagValueNode) {
                $aliases[$value->alias] = $value->type;
            }
        }

        return $aliases;
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @param  list<class-string>  $models  classes that have an interface of their own
     */
    private function interface(ReflectionClass $class, TypeScriptType $writer, array $models): string
    {
        $parent = $class->getParentClass();
        $extends = $parent !== false && in_array($parent->getName(), $models, true) ? $parent : null;
        $lines = [];
        foreach ($class->getProperties(ReflectionProperty::IS_PUBLIC) as $property) {
            // what the parent has stands there
            if ($extends?->hasProperty($property->getName())) {
                continue;
            }
            $says = $this->says($property);
            $lines[] = ($says === '' ? '' : "    /** {$says} */\n")
                ."    {$property->getName()}: {$writer->write($this->typeOf($property))};";
        }

        $head = $class->getShortName().($extends === null ? '' : " extends {$extends->getShortName()}");

        return "export interface {$head} {\n".implode("\n", $lines)."\n}";
    }

    /** The docblock where there is one, else the declared type. */
    private function typeOf(ReflectionProperty $property): TypeNode
    {
        foreach ($this->tags($property->getDocComment()) as $value) {
            if ($value instanceof VarTagValueNode) {
                return $value->type;
            }
        }
        $type = $property->getType();
        $text = $type instanceof ReflectionNamedType && ! $type->isBuiltin()
            ? ($type->allowsNull() ? '?' : '').'\\'.$type->getName()
            : (string) $type;

        return $this->types->parse(new TokenIterator($this->lexer->tokenize($text)));
    }

    /** What a docblock says of a property besides its type. */
    private function says(ReflectionProperty $property): string
    {
        foreach ($this->tags($property->getDocComment()) as $value) {
            if ($value instanceof VarTagValueNode) {
                return trim((string) preg_replace('~\s+~', ' ', $value->description));
            }
        }
        $comment = (string) $property->getDocComment();

        return trim((string) preg_replace('~^/\*\*|\*/$|^\s*\*~m', '', $comment));
    }

    /** @return list<object> */
    private function tags(string|false $comment): array
    {
        if ($comment === false) {
            return [];
        }
        $node = $this->docs->parse(new TokenIterator($this->lexer->tokenize($comment)));

        return array_map(static fn ($tag): object => $tag->value, $node->getTags());
    }
}
