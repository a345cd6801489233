<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The core uses nothing outside itself and small plain packages, reads no clock and prints nothing. */
final class CorePurityTest extends TestCase
{
    /** What `use` and fully qualified names may begin with. */
    private const ALLOWED = ['PlainLedger\\Core\\', 'Brick\\Math\\', 'Symfony\\Component\\Mime\\'];

    private const FORBIDDEN_CALLS = [
        'time', 'microtime', 'date', 'now', 'getenv', 'env', 'config', 'app', 'storage_path', 'base_path', 'print_r',
        'var_dump', 'printf', 'error_log', 'exec', 'shell_exec', 'system', 'passthru', 'proc_open', 'eval',
        'unserialize', 'curl_init',
    ];

    /** @return iterable<string, string> path to source */
    private static function sources(): iterable
    {
        foreach (new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core', \FilesystemIterator::SKIP_DOTS),
        ) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                yield $file->getPathname() => (string) file_get_contents($file->getPathname());
            }
        }
    }

    public function test_it_names_no_class_from_outside(): void
    {
        $seen = 0;
        foreach (self::sources() as $path => $source) {
            $seen++;
            foreach (\PhpToken::tokenize($source) as $token) {
                if (! $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])) {
                    continue;
                }
                $name = ltrim($token->text, '\\');
                if (! str_contains($name, '\\')) {
                    continue;
                }
                $inside = array_filter(
                    self::ALLOWED,
                    static fn (string $start): bool => str_starts_with($name.'\\', $start)
                        || str_starts_with($name, $start),
                );
                self::assertNotSame([], $inside, "{$path} names {$name}");
            }
        }
        self::assertGreaterThan(80, $seen);
    }

    public function test_it_reads_no_clock_no_setting_and_prints_nothing(): void
    {
        foreach (self::sources() as $path => $source) {
            $tokens = array_values(
                array_filter(\PhpToken::tokenize($source), static fn (\PhpToken $t): bool => ! $t->isIgnorable()),
            );
            foreach ($tokens as $i => $token) {
                self::assertFalse(
                    $token->is([T_ECHO, T_PRINT, T_EXIT, T_EVAL, T_GLOBAL]),
                    "{$path}:{$token->line} {$token->text}",
                );
                $called = $token->is(T_STRING)
                    && ($tokens[$i + 1]->text ?? '') === '('
                    && ! in_array($tokens[$i - 1]->text ?? '', ['->', '?->', '::', 'function', 'new'], true);
                if ($called) {
                    self::assertNotContains(strtolower($token->text), self::FORBIDDEN_CALLS, "{$path}:{$token->line}");
                }
            }
        }
    }

    public function test_every_file_is_strict_and_every_class_has_a_trades_name(): void
    {
        foreach (self::sources() as $path => $source) {
            self::assertStringContainsString('declare(strict_types=1);', $source, $path);
            self::assertDoesNotMatchRegularExpression('~(Manager|Helper|Util|Utils|Service)\.php$~', $path);
        }
    }
}
