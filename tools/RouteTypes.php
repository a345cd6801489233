<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use Tighten\Ziggy\Ziggy;

/** The application's routes as the front end knows them: their names and parameters, as values and as types. */
final class RouteTypes
{
    /** What no page of ours asks for. */
    private const ELSEWHERE =
        '~^(?:api\.(?:check|newest|template)$|v1\.|sheet\.open$|sanctum\.|storage\.|health$|generated::)~';

    public static function text(): string
    {
        $routes = [];
        $types = [];
        /** @var array<string, array{uri: string, methods: list<string>, parameters?: list<string>}> $all */
        $all = json_decode((string) json_encode(new Ziggy(null, 'http://localhost')), true)['routes'];
        foreach ($all as $name => $route) {
            if (preg_match(self::ELSEWHERE, $name) === 1) {
                continue;
            }
            $parameters = $route['parameters'] ?? [];
            $told = json_encode(array_filter([
                'uri' => $route['uri'], 'methods' => $route['methods'], 'parameters' => $parameters,
            ]), JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
            $routes[] = "        '{$name}': {$told},";
            $list = array_map(static fn (string $p): string => "{ name: '{$p}'; required: true }", $parameters);
            $types[] = "        '{$name}': readonly [".implode(', ', $list).'];';
        }

        return "/* Written by bin/generate from the routes; changes here are lost. */\n\n"
            ."import type { Config } from 'ziggy-js';\n\n"
            ."export const routes: Config = {\n    url: '',\n    port: null,\n    defaults: {},\n    routes: {\n"
            .implode("\n", $routes)."\n    },\n};\n\n"
            ."declare module 'ziggy-js' {\n    interface TypeConfig {\n        strictRouteNames: true;\n    }\n"
            ."    interface RouteList {\n".implode("\n", $types)."\n    }\n}\n";
    }
}
