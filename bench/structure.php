<?php

declare(strict_types=1);

/*
 * Measures how a tree of PHP reads: complexity of methods, their length, lines over 120 columns, ternaries inside
 * ternaries, classes and parameter lists that are too long, and the circles that its rooms (first folder below a
 * root) make of each other.
 *
 *     php bench/structure.php                 core, cli, app, demo, printing and the models in vendor/, one line each
 *     php bench/structure.php core --list     and every place that is over a bound
 *     php bench/structure.php core --hold     ends with 1 where rooms make a circle, a branch of a ternary is one,
 *                                             or a function takes more than seven things: what no sniff holds
 */

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Stmt;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;

require __DIR__.'/../vendor/autoload.php';

const COMPLEXITY = 10;
const FUNCTION_LINES = 50;
const CLASS_LINES = 300;
const PARAMETERS = 7;
const COLUMNS = 120;

/** One tree of PHP, and what was counted in it. */
final class Tree
{
    public int $methods = 0;

    public int $lines = 0;

    public int $longest = 0;

    /** @var array<string, list<string>> places over a bound, by the bound */
    public array $over = [
        'complex' => [],
        'long' => [],
        'class' => [],
        'parameters' => [],
        'columns' => [],
        'ternaries' => [],
        'nested' => [],
    ];

    /** @var array<string, array<string, list<string>>> room => room it uses => files that do */
    public array $uses = [];

    public function __construct(private readonly string $root, private readonly string $namespace)
    {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS));
        $parser = (new ParserFactory)->createForHostVersion();
        foreach ($files as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                $this->read((string) $file, (array) $parser->parse((string) file_get_contents((string) $file)));
            }
        }
    }

    /** @param  array<Node>  $nodes */
    private function read(string $path, array $nodes): void
    {
        foreach (file($path, FILE_IGNORE_NEW_LINES) ?: [] as $number => $line) {
            $this->lines++;
            $width = mb_strlen($line);
            $this->longest = max($this->longest, $width);
            if ($width > COLUMNS) {
                $this->over['columns'][] = $path.':'.($number + 1).' ('.$width.')';
            }
        }
        $traverser = new NodeTraverser(new NameResolver);
        $nodes = $traverser->traverse($nodes);
        $find = new NodeFinder;
        foreach ($find->findInstanceOf($nodes, Stmt\ClassLike::class) as $class) {
            $this->note('class', $path, $class, $class->getEndLine() - $class->getStartLine() + 1, CLASS_LINES);
        }
        foreach ($find->find(
            $nodes,
            static fn (Node $node): bool => $node instanceof Stmt\ClassMethod || $node instanceof Stmt\Function_,
        ) as $function) {
            $this->methods++;
            $this->note('complex', $path, $function, self::complexity($function), COMPLEXITY);
            $lines = $function->getEndLine() - $function->getStartLine() + 1;
            $this->note('long', $path, $function, self::isTable($function) ? 0 : $lines, FUNCTION_LINES);
            $this->note('parameters', $path, $function, count($function->getParams()), PARAMETERS);
        }
        foreach ($find->findInstanceOf($nodes, Expr\Ternary::class) as $ternary) {
            $inner = $find->findInstanceOf(
                array_filter([$ternary->cond, $ternary->if, $ternary->else]),
                Expr\Ternary::class,
            );
            if ($inner !== []) {
                $this->over['ternaries'][] = $path.':'.$ternary->getStartLine();
            }
            if ($ternary->if instanceof Expr\Ternary || $ternary->else instanceof Expr\Ternary) {
                $this->over['nested'][] = $path.':'.$ternary->getStartLine();
            }
        }
        $this->readUses($path, $nodes, $find);
    }

    /** @param  array<Node>  $nodes */
    private function readUses(string $path, array $nodes, NodeFinder $find): void
    {
        $room = self::room(substr($path, strlen($this->root) + 1));
        foreach ($find->findInstanceOf($nodes, Node\Name\FullyQualified::class) as $name) {
            $other = $name->toString();
            if (str_starts_with($other, $this->namespace.'\\')) {
                $used = self::room(str_replace('\\', '/', substr($other, strlen($this->namespace) + 1)));
                if ($used !== $room && ! in_array($path, $this->uses[$room][$used] ?? [], true)) {
                    $this->uses[$room][$used][] = $path;
                }
            }
        }
    }

    private static function room(string $path): string
    {
        return str_contains($path, '/') ? strstr($path, '/', true) : '.';
    }

    private function note(string $bound, string $path, Node $node, int $value, int $most): void
    {
        if ($value > $most) {
            $name = property_exists($node, 'name') && $node->name instanceof Node\Identifier
                ? $node->name->toString()
                : '?';
            $this->over[$bound][] = sprintf('%s:%d %s (%d)', $path, $node->getStartLine(), $name, $value);
        }
    }

    /** Ways through a method after McCabe: one, and one more for every branch and every short-circuit. */
    private static function complexity(Node $function): int
    {
        $branches = (new NodeFinder)->find([$function], static fn (Node $node): bool => $node instanceof Stmt\If_
            || $node instanceof Stmt\ElseIf_ || $node instanceof Stmt\For_ || $node instanceof Stmt\Foreach_
            || $node instanceof Stmt\While_ || $node instanceof Stmt\Do_ || $node instanceof Stmt\Catch_
            || $node instanceof Expr\Ternary || $node instanceof Expr\BinaryOp\Coalesce
            || $node instanceof Expr\BinaryOp\BooleanAnd || $node instanceof Expr\BinaryOp\BooleanOr
            || ($node instanceof Stmt\Case_ && $node->cond !== null)
            || ($node instanceof Node\MatchArm && $node->conds !== null));

        return 1 + count($branches);
    }

    /** One statement that gives back one array: a table of data, however long. */
    private static function isTable(Stmt\ClassMethod|Stmt\Function_ $function): bool
    {
        $statements = $function->stmts ?? [];

        return count($statements) === 1
            && $statements[0] instanceof Stmt\Return_
            && $statements[0]->expr instanceof Expr\Array_;
    }

    /** @return list<list<string>> groups of rooms each of which reaches every other, Tarjan 1972 */
    public function cycles(): array
    {
        $reach = [];
        foreach (array_keys($this->uses) as $from) {
            $reach[$from] = $this->reachable($from);
        }
        $groups = [];
        foreach ($reach as $from => $to) {
            $group = array_values(
                array_filter(
                    array_keys($reach),
                    static fn (string $other): bool => isset($to[$other], $reach[$other][$from]),
                ),
            );
            sort($group);
            if (count($group) > 1) {
                $groups[implode(' ', $group)] = $group;
            }
        }

        return array_values($groups);
    }

    /** @return array<string, true> */
    private function reachable(string $from): array
    {
        $seen = [];
        $next = [$from];
        while ($next !== []) {
            foreach (array_keys($this->uses[array_pop($next)] ?? []) as $room) {
                if (! isset($seen[$room])) {
                    $seen[$room] = true;
                    $next[] = $room;
                }
            }
        }

        return $seen;
    }
}

$roots = [
    'core' => 'PlainLedger\Core', 'cli' => 'PlainLedger\Cli', 'app' => 'App', 'demo' => 'PlainLedger\Demo',
    'printing' => 'PlainLedger\Printing', 'tests' => 'Tests', 'vendor/brick/math/src' => 'Brick\Math',
    'vendor/league/flysystem/src' => 'League\Flysystem', 'vendor/nikic/php-parser/lib/PhpParser' => 'PhpParser',
];
$asked = array_values(
    array_filter(array_slice($argv, 1), static fn (string $word): bool => ! str_starts_with($word, '--')),
);
chdir(__DIR__.'/..');
printf("%-40s %7s %8s %9s %6s %7s %7s %9s %9s %8s %s\n", 'tree', 'methods', 'complex', '%', 'long', 'classes', 'params',
    'over 120', '%', 'longest', 'nested');
foreach ($roots as $root => $namespace) {
    if (($asked !== [] && ! in_array($root, $asked, true)) || ! is_dir($root)) {
        continue;
    }
    $tree = new Tree($root, $namespace);
    $over = array_map('count', $tree->over);
    printf("%-40s %7d %8d %8.1f%% %6d %7d %7d %9d %8.1f%% %8d %d\n", $root, $tree->methods, $over['complex'],
        100 * $over['complex'] / max(1, $tree->methods),
        $over['long'],
        $over['class'],
        $over['parameters'],
        $over['columns'],
        100 * $over['columns'] / max(1, $tree->lines), $tree->longest, $over['ternaries']);
    foreach ($tree->cycles() as $cycle) {
        printf("    circle: %s\n", implode(', ', $cycle));
    }
    $broken = ($broken ?? false) || $tree->cycles() !== [] || $tree->over['nested'] !== []
        || $tree->over['parameters'] !== [];
    foreach (in_array('--list', $argv, true) ? $tree->over : [] as $bound => $places) {
        printf("  %s\n    %s\n", $bound, implode("\n    ", $places));
    }
    foreach (in_array('--uses', $argv, true) ? $tree->uses : [] as $from => $used) {
        foreach ($used as $to => $files) {
            printf("  %s -> %s: %s\n", $from, $to, implode(', ', array_map('basename', $files)));
        }
    }
}
exit(in_array('--hold', $argv, true) && ($broken ?? false) ? 1 : 0);
