<?php

declare(strict_types=1);

namespace PlainLedger\Tools;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/** What the server says, gathered from where it stands: the sentences that `App\Language\Phrase` is given. */
final readonly class ServerTexts
{
    /** @param  string  $folder  with the sources of the application */
    public function __construct(private string $folder) {}

    /** @return array<string, string> each as it is in English, in the order of letters */
    public function english(): array
    {
        $texts = [];
        foreach ($this->calls(static fn (Expr\StaticCall $call): bool => self::isPhrase($call)) as [$call]) {
            $argument = $call->getArgs()[$call->name instanceof Node\Identifier && $call->name->name === 'of' ? 0 : 1];
            $text = self::literal($argument->value);
            if ($text !== null) {
                $texts[$text] = $text;
            }
        }
        ksort($texts, SORT_STRING);

        return $texts;
    }

    /** @return list<string> where somebody is told a sentence that no other language can have */
    public function bare(): array
    {
        $bare = [];
        $withMessages = static fn (Expr\StaticCall $call): bool => $call->name instanceof Node\Identifier
            && $call->name->name === 'withMessages';
        foreach ($this->calls($withMessages) as [$call, $file]) {
            $given = $call->getArgs()[0]->value ?? null;
            foreach ($given instanceof Expr\Array_ ? $given->items : [] as $item) {
                if (self::literal($item->value) !== null || self::hasWords($item->value)) {
                    $bare[] = basename($file).':'.$item->getStartLine();
                }
            }
        }

        return $bare;
    }

    /**
     * @param  \Closure(Expr\StaticCall): bool  $isIt
     * @return \Generator<int, array{Expr\StaticCall, string}> with the file each stands in
     */
    private function calls(\Closure $isIt): \Generator
    {
        $parser = (new ParserFactory)->createForNewestSupportedVersion();
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator($this->folder, \FilesystemIterator::SKIP_DOTS),
        );
        foreach ($files as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $tree = $parser->parse((string) file_get_contents((string) $file)) ?? [];
                foreach ((new NodeFinder)->findInstanceOf($tree, Expr\StaticCall::class) as $call) {
                    if ($isIt($call)) {
                        yield [$call, (string) $file];
                    }
                }
            }
        }
    }

    private static function isPhrase(Expr\StaticCall $call): bool
    {
        return $call->class instanceof Node\Name && $call->class->getLast() === 'Phrase';
    }

    private static function hasWords(Expr $expression): bool
    {
        $parts = $expression instanceof Scalar\InterpolatedString ? $expression->parts : [];

        return array_filter($parts, static fn (Node $part): bool => $part instanceof Node\InterpolatedStringPart
            && preg_match('~\pL{2}~u', $part->value) === 1) !== [];
    }

    private static function literal(Expr $expression): ?string
    {
        if ($expression instanceof Scalar\String_) {
            return $expression->value;
        }
        if (! $expression instanceof Expr\BinaryOp\Concat) {
            return null;
        }
        [$left, $right] = [self::literal($expression->left), self::literal($expression->right)];

        return $left === null || $right === null ? null : $left.$right;
    }
}
