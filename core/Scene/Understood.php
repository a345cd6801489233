<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Json\JsonDocument;
use PlainLedger\Core\Measure\NotUnderstood;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Specification\Values\Scalar;
use PlainLedger\Core\Text\Text;

/** Reads the lists, texts and truths of a scene, and notes what is none. */
final class Understood
{
    private const LONGEST_LIST = 10_000;

    /** @var list<string> */
    private array $sentences = [];

    /** @var list<UnknownSetting> */
    private array $unknown = [];

    /** @param  Misread  $before  what was not understood before */
    public function __construct(private readonly Misread $before) {}

    /** @param  UnknownSetting|null  $unknown  as far as a name and a value were told */
    public function note(string $sentence, ?UnknownSetting $unknown = null): void
    {
        $this->sentences[] = $sentence;
        if ($unknown !== null) {
            $this->unknown[] = $unknown;
        }
    }

    public function misread(): Misread
    {
        return $this->before->and(new Misread($this->sentences, $this->unknown));
    }

    /** A value as one shows it in a sentence. */
    public static function brief(mixed $value): string
    {
        $text = is_string($value)
            ? $value
            : (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return mb_strimwidth(Text::shown($text), 0, 200, '…');
    }

    /** @return list<string>|null */
    public function names(mixed $value, string $key): ?array
    {
        $names = [];
        foreach (self::listOf($value) as $item) {
            $name = is_array($item) ? $item['name'] ?? null : $item;
            if (! is_string($name) && ! is_int($name)) {
                $this->note("{$key}: a list of names is expected, and ".JsonDocument::typeOf($name).' stands there.');

                return null;
            }
            if (trim((string) $name) !== '') {
                $names[] = (string) $name;
            }
        }

        return array_values(array_unique($names));
    }

    /** @return list<array{name: string, saved: bool|null}>|null */
    public function passes(mixed $value): ?array
    {
        $passes = [];
        foreach (self::listOf($value) as $item) {
            $name = is_array($item) ? $item['name'] ?? null : $item;
            if (! is_string($name)) {
                $type = JsonDocument::typeOf($item);
                $this->note("passes: a list of passes with names is expected, and {$type} stands there.");

                return null;
            }
            $saved = is_array($item) ? $this->truth($item['saved'] ?? null, RequirementId::PASSES) : null;
            $passes[] = ['name' => $name, 'saved' => $saved];
        }

        return $passes;
    }

    /** @return list<array{path: string, present: bool|null}>|null */
    public function links(mixed $value): ?array
    {
        $links = [];
        foreach (self::listOf($value) as $item) {
            $path = is_array($item) ? $item['path'] ?? null : null;
            if (! is_array($item) || ! is_string($path)) {
                $type = JsonDocument::typeOf($item);
                $this->note(
                    "scene.links: a list of paths, each with \"present\", is expected, and {$type} stands there.",
                );

                return null;
            }
            $links[] = [
                'path' => $path,
                'present' => $this->truth($item['present'] ?? null, RequirementId::SCENE_LINKS),
            ];
        }

        return $links;
    }

    public function truth(mixed $value, string $key): ?bool
    {
        if ($value === null) {
            return null;
        }
        try {
            $text = Scalar::text($value);

            return Spellings::truth($text) ?? throw NotUnderstood::as('yes or no', trim($text), 'yes');
        } catch (NotUnderstood $refused) {
            $why = $refused->getMessage();
            $this->note("{$key}: {$why}", new UnknownSetting($key, self::brief($value), $key, $why));

            return null;
        }
    }

    public function text(mixed $value, string $key): ?string
    {
        if ($value !== null && ! is_string($value)) {
            $this->note("{$key}: a text is expected, and ".JsonDocument::typeOf($value).' stands there.');

            return null;
        }

        return $value;
    }

    /** @return list<mixed> */
    private static function listOf(mixed $value): array
    {
        return is_array($value) && array_is_list($value) ? array_slice($value, 0, self::LONGEST_LIST) : [$value];
    }
}
