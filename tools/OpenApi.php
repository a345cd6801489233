<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use App\Http\Middleware\AskScope;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use ReflectionMethod;
use ReflectionNamedType;

/** What programs can call, as OpenAPI 3.1 has it: from the routes, the rules of what is sent, and the view models. */
final readonly class OpenApi
{
    private const PROBLEM = '#/components/responses/Problem';

    /** @var array<string, array<string, mixed>> of view models, by their short names */
    private array $schemas;

    /** @param  list<class-string>  $models  view models */
    public function __construct(private PageTypes $types, private array $models)
    {
        $this->schemas = $types->schemas($models);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        $paths = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $paths['/'.substr($route->uri(), strlen('api/v1/'))][strtolower($method)] = $this->call($route);
                }
            }
        }
        ksort($paths);

        return [
            'openapi' => '3.1.0',
            'info' => [
                'title' => 'Plain Ledger', 'version' => '1',
                'description' => 'All that its pages do, for programs. Times are UTC (RFC 3339). A call that changes '
                    .'something may bear an Idempotency-Key: it is done once then, however often it comes within a '
                    .'day. Problems are told as RFC 9457 has them.',
            ],
            'servers' => [['url' => '/api/v1']],
            'security' => [['token' => []]],
            'paths' => $paths,
            'components' => [
                'securitySchemes' => ['token' => [
                    'type' => 'http', 'scheme' => 'bearer',
                    'description' => 'A token from the page “Yours”, with a scope and an end.',
                ]],
                'responses' => ['Problem' => ['description' => 'What is wrong', 'content' => [
                    'application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']],
                ]]],
                'schemas' => $this->schemas + ['Problem' => self::problem(), 'Done' => self::done()],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function call(Route $route): array
    {
        $method = self::method($route);
        $scope = AskScope::of($route);
        $parameters = array_map(static fn (string $name): array => [
            'name' => $name, 'in' => 'path', 'required' => true,
            'schema' => ['type' => 'string'] + (isset($route->wheres[$name])
                ? ['pattern' => "^(?:{$route->wheres[$name]})$"] : []),
        ], $route->parameterNames());
        $isPaged = str_starts_with((string) $route->getName(), 'v1.all.');
        foreach ($isPaged ? ['page', 'per_page'] : [] as $name) {
            $parameters[] = ['name' => $name, 'in' => 'query', 'schema' => ['type' => 'integer', 'minimum' => 1]];
        }
        $body = self::body($method);

        return [
            'operationId' => substr((string) $route->getName(), strlen('v1.')),
            'summary' => self::says($method),
            'description' => "Needs a token of the scope “{$scope->value}” or one that may more.",
            'tags' => [explode('/', $route->uri())[2]],
            'parameters' => $parameters,
        ] + ($body === null ? [] : ['requestBody' => ['content' => ['application/json' => ['schema' => $body]]]])
            + ['responses' => [
                '200' => $isPaged ? $this->page($method) : $this->answer($method),
                'default' => ['$ref' => self::PROBLEM],
            ]];
    }

    /** @return array<string, mixed> */
    private function page(ReflectionMethod $method): array
    {
        $line = $this->answer($method)['content']['application/json']['schema'];
        $number = ['type' => 'integer'];

        return [
            'description' => 'A page of it; those before and after stand in the header Link',
            'content' => ['application/json' => ['schema' => [
                'type' => 'object', 'required' => ['data', 'page', 'pages', 'total'],
                'properties' => [
                    'data' => ['type' => 'array', 'items' => $line], 'page' => $number, 'pages' => $number,
                    'total' => $number,
                ],
            ]]],
        ];
    }

    private static function method(Route $route): ReflectionMethod
    {
        [$class, $name] = explode('@', $route->getActionName()) + [1 => '__invoke'];

        return new ReflectionMethod($class, $name);
    }

    /** What the method's docblock says, else its class's. */
    private static function says(ReflectionMethod $method): string
    {
        foreach ([$method->getDocComment(), $method->getDeclaringClass()->getDocComment()] as $comment) {
            $text = trim((string) preg_replace('~^/\*\*|\*/$|^\s*\* ?~m', '', (string) $comment));
            $first = trim((string) preg_replace('~\s+~', ' ', (string) preg_split('~\n\s*\n|@~', $text)[0]));
            if ($first !== '') {
                return $first;
            }
        }

        return $method->getDeclaringClass()->getShortName();
    }

    /** @return array<string, mixed>|null */
    private static function body(ReflectionMethod $method): ?array
    {
        foreach ($method->getParameters() as $parameter) {
            $type = $parameter->getType();
            $name = $type instanceof ReflectionNamedType ? $type->getName() : '';
            if (is_subclass_of($name, FormRequest::class)) {
                return RequestSchema::of($name);
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private function answer(ReflectionMethod $method): array
    {
        $source = implode('', array_slice(
            file((string) $method->getFileName()) ?: [],
            (int) $method->getStartLine(),
            (int) $method->getEndLine() - (int) $method->getStartLine(),
        ));
        $name = preg_match('~(?:\bnew |\bfn \(\w+ \$\w+\): )(\w+)\b~', $source, $found) === 1 ? $found[1] : '';
        $returns = (string) $method->getReturnType();
        $said = $this->types->answer($method, $this->models);
        $schema = match (true) {
            $said !== null => $said,
            isset($this->schemas[$name]) => ['$ref' => "#/components/schemas/{$name}"],
            str_contains($returns, 'RedirectResponse') => ['$ref' => '#/components/schemas/Done'],
            default => [],
        };
        $isFile = ! str_contains($returns, 'Inertia') && ! str_contains($returns, 'Json')
            && ! str_contains($returns, 'Redirect');

        return $isFile
            ? ['description' => 'A file']
            : ['description' => 'As asked', 'content' => ['application/json' => ['schema' => (object) $schema]]];
    }

    /** @return array<string, mixed> */
    private static function problem(): array
    {
        return ['type' => 'object', 'required' => ['title', 'status'], 'properties' => [
            'type' => ['type' => 'string'], 'title' => ['type' => 'string'], 'status' => ['type' => 'integer'],
            'detail' => ['type' => 'string'],
            'errors' => ['type' => 'object', 'additionalProperties' => [
                'type' => 'array', 'items' => ['type' => 'string'],
            ]],
        ]];
    }

    /** @return array<string, mixed> */
    private static function done(): array
    {
        return ['type' => 'object', 'properties' => [
            'told' => ['type' => 'string', 'description' => 'What was done, in a sentence'],
            'at' => ['type' => 'string', 'description' => 'The path of the page where it stands'],
        ]];
    }
}
