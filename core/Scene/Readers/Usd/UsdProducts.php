<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene\Readers\Usd;

use PlainLedger\Core\Specification\RequirementId;

/** The names, passes and samples of render products (UsdRenderProduct, UsdRenderVar). */
final readonly class UsdProducts
{
    private const FLOATS = '~^(color3|color4|half|float|vector3|normal3|point3)([hfd]?)(?:\[\])?$~';

    private const CHANNELS = ['color4' => 'RGBA', 'color3' => 'RGB'];

    /** @param  list<string>  $paths */
    public function __construct(private UsdStage $stage, private array $paths) {}

    /** @return array<string, mixed> */
    public function settings(): array
    {
        $variables = array_merge([], ...array_map(
            fn (string $path): array => UsdStage::paths($this->stage->attributes($path)['orderedVars'] ?? null),
            $this->paths,
        ));
        $passes = array_map($this->nameOfVariable(...), $variables);
        $saved = array_map(
            static fn (string $pass): array => ['name' => $pass, 'saved' => true],
            array_values(array_unique($passes)),
        );

        return (count($passes) < 2 ? [] : [RequirementId::PASSES => $saved])
            + ($variables === [] ? [] : $this->samples($variables[0]))
            + $this->names($passes);
    }

    private function nameOfVariable(string $path): string
    {
        $source = $this->stage->attributes($path)['sourceName'] ?? null;

        return is_string($source) && $source !== '' ? $source : $this->stage->nameOf($path);
    }

    /** @return array<string, string> */
    private function samples(string $variable): array
    {
        $type = $this->stage->attributes($variable)['dataType'] ?? null;
        if (! is_string($type) || preg_match(self::FLOATS, $type, $m) !== 1) {
            return [];
        }
        $channels = self::CHANNELS[$m[1]] ?? null;

        return [
            RequirementId::FORMAT_SAMPLE => 'float',
            RequirementId::FORMAT_BIT_DEPTH => $m[1] === 'half' || $m[2] === 'h' ? '16' : '32',
        ] + ($channels === null ? [] : [RequirementId::FORMAT_CHANNELS => $channels]);
    }

    /**
     * Of several passes with files of their own, the piece in which they differ is the pass's.
     *
     * @param  list<string>  $passes
     * @return array<string, string>
     */
    private function names(array $passes): array
    {
        $told = array_map(
            fn (string $path): mixed => $this->stage->attributes($path)['productName'] ?? null,
            $this->paths,
        );
        $names = array_values(array_filter($told, static fn (mixed $name): bool => is_string($name) && $name !== ''));
        if ($names === []) {
            return [];
        }
        $ofPasses = count($names) === count($passes) && count($names) > 1;
        $name = strtr($ofPasses ? str_replace($passes[0], '{pass}', $names[0]) : $names[0], '\\', '/');
        $slash = strrpos($name, '/');
        $file = $slash === false ? $name : substr($name, $slash + 1);
        $folder = $slash === false ? [] : [RequirementId::OUTPUT_FOLDER => substr($name, 0, max(1, $slash))];
        $kind = preg_match('~\.([A-Za-z][A-Za-z0-9]{1,4})$~', $file, $m) === 1
            ? [RequirementId::FORMAT_KIND => $m[1]]
            : [];

        return [RequirementId::NAMING_PATTERN => $file] + $folder + $kind;
    }
}
