<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use PlainLedger\Core\Json\JsonRefused;

/**
 * Walks a stage in the text form of USD, and keeps what tells of a render. Geometry and time samples are passed over.
 *
 * @phpstan-import-type Prim from UsdStage
 */
final class UsdStageReader
{
    private const DEEPEST = 200;

    private const MOST_PRIMS = 10_000;

    private const MOST_ATTRIBUTES = 1000;

    private const MOST_METADATA = 200;

    /** Words of a property before its name, and the name. */
    private const MOST_WORDS = 8;

    private const BEGINNINGS = ['def', 'over', 'class', 'variantSet'];

    private const TYPES = ['RenderSettings', 'RenderProduct', 'RenderVar', 'Camera'];

    /** @var array<string, Prim> by path */
    private array $prims = [];

    private function __construct(private readonly UsdText $text, private readonly string $label) {}

    /** @throws JsonRefused */
    public static function read(UsdText $text, string $label): UsdStage
    {
        $reader = new self($text, $label);
        $metadata = $text->peek() === '(' ? $reader->metadata() : [];
        $none = null;
        while ($text->peek() !== '') {
            $reader->statement('', $none, 0);
        }

        return new UsdStage($metadata, $reader->prims);
    }

    /** @return array<string, mixed> */
    private function metadata(): array
    {
        $this->text->take('(');
        $found = [];
        while (! $this->text->took(')')) {
            if (in_array($this->text->peek(), ['"', "'"], true)) {
                $this->text->string();

                continue;
            }
            $word = $this->text->word();
            if (in_array($word, ['prepend', 'append', 'add', 'delete', 'reorder'], true)) {
                $word = $this->text->word();
            }
            if ($word === '') {
                $this->text->take(')');

                return $found;
            }
            $value = $this->text->took('=') ? $this->text->value() : null;
            if (is_string($value) && count($found) < self::MOST_METADATA) {
                $found[$word] = $value;
            }
        }

        return $found;
    }

    /**
     * One prim, variant set or property of a prim.
     *
     * @param  Prim|null  $prim  whose property it is; null where it is of no use here
     */
    private function statement(string $path, ?array &$prim, int $depth): void
    {
        if ($depth > self::DEEPEST) {
            throw JsonRefused::because($this->label, 'it is nested deeper than '.self::DEEPEST.' prims.');
        }
        $word = $this->text->word();
        if ($word !== '' && ! in_array($word, self::BEGINNINGS, true)) {
            // a property without a value ends where the next thing begins
            $word = $this->property($word, $prim);
        }
        match ($word) {
            null => null,
            'def', 'over', 'class' => $this->prim($path, $word, $depth),
            'variantSet' => $this->variants($path, $depth),
            default => throw $this->text->unexpected($depth === 0 ? 'def' : '}'),
        };
    }

    /** What stands in a variant may hold or not; only the prims in it are of use. */
    private function variants(string $path, int $depth): void
    {
        $this->text->string();
        $this->text->take('=');
        $this->text->take('{');
        while (! $this->text->took('}')) {
            $this->text->string();
            if ($this->text->peek() === '(') {
                $this->text->skip();
            }
            $none = null;
            $this->body($path, $none, $depth + 1);
        }
    }

    private function prim(string $path, string $kind, int $depth): void
    {
        $type = in_array($this->text->peek(), ['"', "'"], true) ? '' : $this->text->word();
        $path .= "/{$this->text->string()}";
        $metadata = $this->text->peek() === '(' ? $this->metadata() : [];
        $before = $this->prims[$path] ?? null;
        $prim = $before ?? (in_array($type, self::TYPES, true) ? ['type' => $type, 'attributes' => []] : null);
        if ($prim !== null && isset($metadata['displayName'])) {
            $prim['attributes']['displayName'] = $metadata['displayName'];
        }
        $this->body($path, $prim, $depth + 1);
        if ($prim !== null && $kind !== 'class' && count($this->prims) < self::MOST_PRIMS) {
            $this->prims[$path] = $prim;
        }
    }

    /** @param  Prim|null  $prim */
    private function body(string $path, ?array &$prim, int $depth): void
    {
        $this->text->take('{');
        while (! $this->text->took('}')) {
            $this->statement($path, $prim, $depth);
        }
    }

    /**
     * @param  Prim|null  $prim
     * @return string|null the word with which the next thing has begun already
     */
    private function property(string $word, ?array &$prim): ?string
    {
        [$name, $next] = $this->nameOfProperty($word);
        if ($next !== null) {
            return $next;
        }
        if ($this->text->took('=')) {
            $this->assign($name, $prim);
        }
        if ($this->text->peek() === '(') {
            $this->text->skip();
        }

        return null;
    }

    /**
     * `custom uniform token[] name`: the last word before what follows is its name.
     *
     * @return array{string, string|null} the name, and the word with which the next thing has begun already
     */
    private function nameOfProperty(string $name): array
    {
        for ($words = 1; $words <= self::MOST_WORDS && ! in_array($this->text->peek(), ['=', '(', '}', ''], true);) {
            if ($this->text->took('[')) {
                $this->text->take(']');

                continue;
            }
            $next = $this->text->word();
            if ($next === '') {
                throw $this->text->unexpected('=');
            }
            if (in_array($next, self::BEGINNINGS, true)) {
                return [$name, $next];
            }
            $name = $next;
            $words++;
        }

        return [$name, null];
    }

    /**
     * Time samples, and whatever belongs to a prim that is of no use here, are passed over.
     *
     * @param  Prim|null  $prim
     */
    private function assign(string $name, ?array &$prim): void
    {
        $next = $this->text->peek();
        if ($next === '{' || $prim === null) {
            in_array($next, ['{', '[', '('], true) ? $this->text->skip() : $this->text->value(0);

            return;
        }
        $value = $this->text->value();
        if ($value !== null && count($prim['attributes']) < self::MOST_ATTRIBUTES) {
            $prim['attributes'][$name] = $value;
        }
    }
}
